<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What every page asks, as functions: their plans are made once a connection, and not again for every page. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            create or replace function bell_rows(today timestamptz) returns text language plpgsql stable as $$
            begin
                return (
                    select coalesce(json_agg(json_build_array(id, slot, title, summary)), '[]'::json)::text
                    from jobs where status = 'open' or remind_at <= today
                );
            end $$;
            create or replace function catalogue_version() returns text language plpgsql stable as $$
            begin
                return (
                    select md5(coalesce(string_agg(
                        id || ' ' || xmin::text || ' ' || cmin::text, ',' order by id
                    ), '')) from catalogue_entries
                );
            end $$;
            create or replace function person_of(account bigint) returns json language plpgsql stable as $$
            begin
                return (select row_to_json(users) from users where users.id = account);
            end $$;
            create or replace function path_mark(job bigint, of integer) returns text language plpgsql stable as $$
            begin
                return (select xmin::text from current_paths where job_id = job and revision = of);
            end $$;
            SQL);
    }

    public function down(): void
    {
        DB::unprepared('drop function if exists bell_rows, catalogue_version, person_of, path_mark');
    }
};
