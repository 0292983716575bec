<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Frames that were counted on the machine of a job, before and after something was changed. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('frame_runs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->string('moment', 10);
            $table->json('run');
            $table->timestampsTz();
            $table->index(['job_id', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('frame_runs');
    }
};
