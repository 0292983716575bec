<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Memory and drive of an emulated machine, what an installer put on that drive, and the next power-on from it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('proving_starts', function (Blueprint $table): void {
            $table->integer('memory_mib')->default(512);
            $table->bigInteger('machine_memory')->nullable();
            $table->bigInteger('drive_bytes')->nullable();
            $table->string('drive_bus', 8)->nullable();
            $table->json('drive_found')->nullable();
            $table->foreignId('drive_of')->nullable()->constrained('proving_starts');
        });
    }

    public function down(): void
    {
        Schema::table('proving_starts', function (Blueprint $table): void {
            $table->dropColumn([
                'memory_mib', 'machine_memory', 'drive_bytes', 'drive_bus', 'drive_found', 'drive_of',
            ]);
        });
    }
};
