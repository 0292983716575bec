<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was read of a finished machine, and what people wrote down of it row by row. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('finished_readings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->string('source', 200);
            $table->jsonb('readings');
            $table->timestampTz('created_at');
            $table->index(['job_id', 'id']);
        });
        Schema::create('seen_rows', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->string('row', 120);
            $table->text('value');
            $table->text('reason')->nullable();
            $table->timestampTz('created_at');
            $table->index(['job_id', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('seen_rows');
        Schema::dropIfExists('finished_readings');
    }
};
