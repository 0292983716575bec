<?php

use App\Database\LogChain;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What happens to the bench itself rather than to a job: people, policy, shelf, catalogue, safe-keeping.
        Schema::create('bench_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->nullable()->constrained();
            $table->string('kind', 30)->index();
            $table->string('subject', 200)->nullable();
            $table->json('data');
            $table->timestampTz('created_at');
            $table->index(['kind', 'subject']);
        });
        // Backups that were written and read back.
        Schema::create('safe_keepings', function (Blueprint $table): void {
            $table->id();
            $table->string('kind', 10);
            $table->string('place', 400);
            $table->unsignedBigInteger('bytes');
            $table->json('parts');
            $table->timestampTz('created_at');
        });
        DB::unprepared(<<<'SQL'
            create table if not exists chain_heads (
                name text primary key, hash char(64) not null, entries bigint not null
            );
            create or replace function chain_entry() returns trigger language plpgsql security definer
                set search_path = public, pg_temp set timezone to 'UTC' as $$
            declare last text;
            begin
                insert into chain_heads values (tg_table_name, repeat('0', 64), 0) on conflict do nothing;
                select hash into last from chain_heads where name = tg_table_name for update;
                -- Numbered under the same lock, so that the order of the numbers is the order of the chain.
                new.id := nextval(pg_get_serial_sequence(tg_table_name, 'id'));
                new.salt := gen_random_uuid()::text;
                new.data_hash := encode(sha256(convert_to(new.salt || coalesce(new.data::text, ''), 'UTF8')), 'hex');
                new.prev_hash := last;
                new.hash := encode(sha256(convert_to((to_jsonb(new) - 'data' - 'salt' - 'hash')::text, 'UTF8')), 'hex');
                update chain_heads set hash = new.hash, entries = entries + 1 where name = tg_table_name;
                return new;
            end $$;
            -- Rows stay as they are; only contents whose time is over may be taken out, whole.
            create or replace function refuse_change() returns trigger language plpgsql as $$
            begin
                if tg_op = 'UPDATE' and tg_table_name = 'plans' then
                    if new.plan::text = '{}' and new.difference is null
                        and (to_jsonb(new) - 'plan' - 'difference' - 'reason')
                            = (to_jsonb(old) - 'plan' - 'difference' - 'reason')
                    then return new; end if;
                elsif tg_op = 'UPDATE' then
                    if (to_jsonb(new) - 'data' - 'salt') = (to_jsonb(old) - 'data' - 'salt')
                        and to_jsonb(new) ->> 'salt' is null and (to_jsonb(new) -> 'data') = '{}'::jsonb
                        and to_jsonb(old) ? 'salt'
                    then return new; end if;
                end if;
                raise exception 'rows of % are never changed or removed', tg_table_name;
            end $$;
            create or replace function remove_contents(log text, entry bigint) returns void language plpgsql
                security definer set search_path = public, pg_temp as $$
            begin
                if log not in ('log_entries', 'stick_events', 'bench_events') then
                    raise exception 'no such log';
                end if;
                execute format('update %I set data = ''{}'', salt = null where id = $1', log) using entry;
            end $$;
            create or replace function remove_plan(which bigint) returns void language sql
                security definer set search_path = public, pg_temp as $$
                update plans set plan = '{}', difference = null, reason = '' where id = which;
            $$;
            drop trigger if exists bench_events_only_grow on bench_events;
            create trigger bench_events_only_grow
                before update or delete on bench_events for each row execute function refuse_change();
            drop trigger if exists policies_only_grow on policies;
            create trigger policies_only_grow
                before update or delete on policies for each row execute function refuse_change();
            SQL);
        foreach (LogChain::LOGS as $log) {
            LogChain::add(DB::connection(), $log);
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('safe_keepings');
        Schema::dropIfExists('bench_events');
        Schema::dropIfExists('chain_heads');
    }
};
