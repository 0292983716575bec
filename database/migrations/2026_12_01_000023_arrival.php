<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Who comes, and what the page that was asked for needs first: one question, whose plan a connection keeps. Without a
 * day nothing is read along, and without a job no row of one: whoever changes something asks for both anew.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            create or replace function arrival(visit text, today timestamptz, job bigint) returns table (
                payload text, last_activity integer, person json, bell text, catalogue text,
                held jobs, mark text, path_mark text
            ) language plpgsql stable as $$
            begin
                return query select s.payload, s.last_activity, person_of(s.user_id),
                    case when today is null then null else bell_rows(today) end,
                    case when today is null then null else catalogue_version() end,
                    j, j.xmin::text, path_mark(j.id, j.revision)
                from sessions s left join jobs j on j.id = arrival.job
                where s.id = visit;
            end $$;
            SQL);
    }

    public function down(): void
    {
        DB::unprepared('drop function if exists arrival');
    }
};
