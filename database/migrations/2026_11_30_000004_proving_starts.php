<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Starts of a stick or an image in an emulated machine, each beside what was predicted of it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('proving_starts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shelf_file_id')->nullable()->constrained();
            $table->string('slug', 80)->nullable();
            $table->string('title', 200);
            $table->string('firmware', 20);
            $table->string('machine', 80)->nullable();
            $table->string('machine_title', 120)->nullable();
            $table->string('state', 20);
            $table->string('predicted', 120);
            $table->string('outcome', 40)->nullable();
            $table->char('sha256', 64)->nullable();
            $table->float('seconds')->default(0);
            $table->integer('resets')->default(0);
            $table->text('printed')->default('');
            $table->integer('pictures')->default(0);
            $table->text('fault')->nullable();
            $table->foreignId('user_id')->constrained();
            $table->timestampsTz();
            $table->index(['shelf_file_id', 'id']);
            $table->index(['slug', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('proving_starts');
    }
};
