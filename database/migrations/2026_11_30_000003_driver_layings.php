<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Packages of a job on their way out of their archives: how far it is, and what came of it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('driver_layings', function (Blueprint $table): void {
            $table->foreignId('job_id')->primary()->constrained();
            $table->foreignId('user_id')->constrained();
            $table->string('state', 20);
            $table->string('package', 120)->default('');
            $table->bigInteger('bytes')->default(0);
            $table->bigInteger('done_bytes')->default(0);
            $table->json('result')->nullable();
            $table->text('fault')->nullable();
            $table->timestampsTz();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('driver_layings');
    }
};
