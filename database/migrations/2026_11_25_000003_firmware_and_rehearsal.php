<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // One power-on as it really ended, beside what was predicted.
        Schema::create('boot_observations', function (Blueprint $table) {
            $table->id();
            $table->foreignId('job_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->integer('revision');
            $table->string('step', 80);
            $table->integer('number');
            $table->string('model', 80)->nullable()->index();
            $table->string('wants', 20);
            $table->string('predicted', 40);
            $table->string('ground', 20);
            $table->string('seen', 40);
            // Whether the technician says that this model does that.
            $table->boolean('of_model')->default(false);
            $table->timestampTz('created_at')->index();
            $table->index(['job_id', 'step', 'number']);
        });
        // A way into setup, menu or recovery, tried on a model.
        Schema::create('way_trials', function (Blueprint $table) {
            $table->id();
            $table->foreignId('job_id')->nullable()->constrained();
            $table->foreignId('user_id')->constrained();
            $table->string('model', 80);
            $table->string('reaches', 20);
            $table->string('way', 120);
            $table->boolean('worked');
            $table->timestampTz('created_at');
            $table->index(['model', 'reaches']);
        });
        // Every setting as somebody read it off the machine.
        Schema::create('firmware_snapshots', function (Blueprint $table) {
            $table->id();
            $table->foreignId('job_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->jsonb('settings');
            $table->string('origin', 20);
            $table->text('pasted')->nullable();
            $table->string('photo', 80)->nullable();
            $table->jsonb('notes');
            $table->timestampTz('created_at');
            $table->index(['job_id', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('firmware_snapshots');
        Schema::dropIfExists('way_trials');
        Schema::dropIfExists('boot_observations');
    }
};
