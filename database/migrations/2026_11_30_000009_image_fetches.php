<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Images on their way from a publisher to the shelf. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('image_fetches', function (Blueprint $table): void {
            $table->id();
            $table->string('slug', 80)->unique();
            $table->string('file', 200);
            $table->string('state', 20);
            $table->bigInteger('bytes')->default(0);
            $table->bigInteger('done_bytes')->default(0);
            $table->bigInteger('run_bytes')->default(0);
            $table->double('run_seconds')->default(0);
            $table->text('fault')->nullable();
            $table->foreignId('job_id')->nullable()->constrained();
            $table->foreignId('user_id')->constrained();
            $table->timestampsTz();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('image_fetches');
    }
};
