<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('jobs', function (Blueprint $table) {
            // As a reading gave it; the same serial again offers the last visit.
            $table->string('machine_serial', 120)->nullable()->index();
            // When the next reminder of this job is due, open or handed over.
            $table->timestampTz('remind_at')->nullable()->index();
            $table->index(['status', 'slot', 'id']);
        });
        // Recovery and licence keys, encrypted; gone at handover or when they expire.
        Schema::create('sealed_keys', function (Blueprint $table) {
            $table->id();
            $table->foreignId('job_id')->constrained();
            $table->string('kind', 20);
            $table->string('label', 120);
            $table->text('sealed')->nullable();
            $table->foreignId('user_id')->constrained();
            $table->timestampTz('expires_at');
            $table->timestampTz('deleted_at')->nullable();
            $table->timestampsTz();
        });
        // What was found on a job and kept for its model; the lead takes it into the catalogue or lets it go.
        Schema::create('learned_facts', function (Blueprint $table) {
            $table->id();
            $table->foreignId('job_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->string('model', 80);
            $table->string('fact', 80);
            $table->string('value', 200);
            $table->string('origin', 200);
            $table->string('decision', 20)->nullable();
            $table->timestampsTz();
            $table->unique(['model', 'fact', 'value']);
        });
        // Words of a title are found at any size of the bench.
        DB::unprepared('create extension if not exists pg_trgm; create index jobs_title_words on jobs using gin '
            .'(title gin_trgm_ops);');
    }

    public function down(): void
    {
        DB::unprepared('drop index if exists jobs_title_words');
        Schema::drop('learned_facts');
        Schema::drop('sealed_keys');
        Schema::table('jobs', function (Blueprint $table) {
            $table->dropIndex(['status', 'slot', 'id']);
            $table->dropColumn(['machine_serial', 'remind_at']);
        });
    }
};
