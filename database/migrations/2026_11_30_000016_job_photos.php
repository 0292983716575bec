<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Photos that were taken at the stones of a job. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('job_photos', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->string('step', 120);
            $table->string('photo', 80);
            $table->string('words', 120);
            $table->integer('blackened')->default(0);
            $table->boolean('on_sheet')->default(false);
            $table->timestampTz('created_at');
            $table->index(['job_id', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('job_photos');
    }
};
