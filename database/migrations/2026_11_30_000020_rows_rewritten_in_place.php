<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A stone that is laid rewrites its job's row where it stands. An index over the summary made the database enter the
 * row anew into every index of the table at each stone; the stick in hand is a column now, which seldom changes.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            drop index if exists jobs_stick_in_hand;
            alter table jobs add column stick_in_hand text generated always as (summary->'stick'->>'id') stored;
            create index jobs_by_stick on jobs (stick_in_hand, id)
                where status = 'open' and stick_in_hand is not null;
            -- Room on each page for the next state of its rows.
            alter table jobs set (fillfactor = 70);
            -- The row of a job, held until the caller's transaction ends, with its marks: a connection keeps the plan.
            create or replace function held_job(number bigint)
                returns table (held jobs, mark text, path_mark text) language plpgsql as $$
            begin
                return query select jobs, jobs.xmin::text, path_mark(jobs.id, jobs.revision)
                    from jobs where jobs.id = number for update of jobs;
            end $$;
            SQL);
    }

    public function down(): void
    {
        DB::unprepared(<<<'SQL'
            drop function if exists held_job;
            alter table jobs reset (fillfactor);
            drop index if exists jobs_by_stick;
            alter table jobs drop column stick_in_hand;
            create index jobs_stick_in_hand on jobs ((summary->'stick'->>'id'), id)
                where status = 'open' and summary->'stick'->>'id' is not null;
            SQL);
    }
};
