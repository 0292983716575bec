<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Starts of a job's stick as the machine of that job is set at one of its power-ons. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('proving_starts', function (Blueprint $table): void {
            $table->foreignId('job_id')->nullable()->constrained();
            $table->string('step', 80)->nullable();
            $table->integer('number')->nullable();
            $table->json('trusts')->nullable();
            $table->index(['job_id', 'id']);
        });
    }

    public function down(): void
    {
        Schema::table('proving_starts', function (Blueprint $table): void {
            $table->dropColumn(['job_id', 'step', 'number', 'trusts']);
        });
    }
};
