<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // A job's path as it holds now, whole: what every page of the job reads. json, not jsonb, for its order.
        Schema::create('current_paths', function (Blueprint $table): void {
            $table->foreignId('job_id')->primary()->constrained();
            $table->integer('revision');
            $table->json('plan');
        });
        DB::statement(<<<'SQL'
            insert into current_paths (job_id, revision, plan)
            select plans.job_id, plans.revision, plans.plan
            from plans join jobs on jobs.id = plans.job_id and jobs.revision = plans.revision
            where plans.plan::text <> '{}'
            SQL);
        // Revisions before this one hold their path whole; from now on the first does, and the others what changed.
        Schema::table('plans', function (Blueprint $table): void {
            $table->json('plan')->nullable()->change();
            $table->json('change')->nullable();
        });
        DB::unprepared(<<<'SQL'
            create or replace function refuse_change() returns trigger language plpgsql as $$
            begin
                if tg_op = 'UPDATE' and tg_table_name = 'plans' then
                    if new.plan::text = '{}' and new.difference is null and (to_jsonb(new) ->> 'change') is null
                        and (to_jsonb(new) - 'plan' - 'change' - 'difference' - 'reason')
                          = (to_jsonb(old) - 'plan' - 'change' - 'difference' - 'reason') then return new; end if;
                elsif tg_op = 'UPDATE' then
                    if (to_jsonb(new) - 'data' - 'salt') = (to_jsonb(old) - 'data' - 'salt')
                        and to_jsonb(new) ->> 'salt' is null and (to_jsonb(new) -> 'data') = '{}'::jsonb
                        and to_jsonb(old) ? 'salt' then return new; end if;
                end if;
                raise exception 'rows of % are never changed or removed', tg_table_name;
            end $$;
            create or replace function remove_plan(which bigint) returns void
            language sql security definer set search_path = public, pg_temp as $$
                update plans set plan = '{}', change = null, difference = null, reason = '' where id = which;
            $$;
            SQL);
    }

    public function down(): void
    {
        Schema::drop('current_paths');
    }
};
