<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('jobs', function (Blueprint $table) {
            $table->id();
            $table->string('title', 120);
            $table->unsignedSmallInteger('slot')->nullable();
            $table->string('status', 20)->default('open')->index();
            $table->integer('revision')->default(1);
            $table->unsignedBigInteger('last_entry')->default(0);
            $table->text('brief');
            // What Bench and bell show of the job, folded from plan and log with every entry.
            $table->json('summary');
            $table->foreignId('user_id')->constrained();
            $table->timestampsTz();
        });
        // json, not jsonb: the order of what was computed is part of the plan.
        Schema::create('plans', function (Blueprint $table) {
            $table->id();
            $table->foreignId('job_id')->constrained();
            $table->integer('revision');
            $table->json('plan');
            $table->json('difference')->nullable();
            $table->string('reason', 400);
            $table->foreignId('user_id')->constrained();
            $table->timestampTz('created_at');
            $table->unique(['job_id', 'revision']);
        });
        Schema::create('log_entries', function (Blueprint $table) {
            $table->id();
            $table->foreignId('job_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->integer('revision');
            $table->string('role', 20);
            $table->string('kind', 20);
            $table->string('step', 120)->nullable();
            $table->json('data');
            $table->timestampTz('created_at');
            $table->index(['job_id', 'id']);
            $table->index('created_at');
        });
        // Plans are immutable and the log only grows: the database itself holds this.
        DB::unprepared(<<<'SQL'
            create or replace function refuse_change() returns trigger language plpgsql as $$
            begin raise exception 'rows of % are never changed or removed', tg_table_name; end $$;
            create trigger log_only_grows
                before update or delete on log_entries for each row execute function refuse_change();
            create trigger plans_are_immutable
                before update or delete on plans for each row execute function refuse_change();
            SQL);
    }

    public function down(): void
    {
        Schema::drop('log_entries');
        Schema::drop('plans');
        Schema::drop('jobs');
        DB::unprepared('drop function if exists refuse_change()');
    }
};
