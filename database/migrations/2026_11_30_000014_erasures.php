<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Drives that were erased, or should have been: how far, what was read back, the certificate. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('erasures', function (Blueprint $table): void {
            $table->id();
            $table->string('drive', 80);
            $table->string('title', 200);
            $table->string('way', 20);
            $table->string('state', 20);
            $table->foreignId('user_id')->constrained();
            $table->bigInteger('bytes');
            $table->bigInteger('done_bytes')->default(0);
            $table->boolean('cancel')->default(false);
            $table->text('fault')->nullable();
            $table->jsonb('certificate')->nullable();
            $table->timestampTz('began_at')->nullable();
            $table->timestampTz('ended_at')->nullable();
            $table->timestampsTz();
        });
        // A drive is erased by one at a time.
        DB::statement(
            "create unique index erasures_under_way on erasures (drive) where state in ('queued', 'running')",
        );
    }

    public function down(): void
    {
        Schema::dropIfExists('erasures');
    }
};
