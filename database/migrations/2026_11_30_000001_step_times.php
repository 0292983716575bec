<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How long a stone took on a model with a system: what is worked out is held against it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('step_times', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained();
            $table->string('model', 80);
            $table->string('system', 80);
            $table->string('step', 80);
            $table->string('title', 120);
            $table->integer('seconds');
            $table->timestampTz('created_at');
            $table->index(['model', 'system']);
            $table->unique(['job_id', 'step']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('step_times');
    }
};
