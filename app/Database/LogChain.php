<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * The chain of the logs: every entry carries the hash of the one before, worked out by the database when it is added.
 *
 * hash = SHA-256 of the entry as JSON without contents and salt; the contents count through their own salted hash,
 * so that they can be removed when their time is over and the chain stays whole.
 */
final class LogChain
{
    public const LOGS = ['log_entries', 'stick_events', 'bench_events'];

    private const START = '0000000000000000000000000000000000000000000000000000000000000000';

    /** The entry as it is hashed; read with the session's time zone set to UTC. */
    private const HEADER = "(to_jsonb(t) - 'data' - 'salt' - 'hash')::text";

    /** Adds the columns to a log and chains what is in it already; the trigger goes on from there. */
    public static function add(Connection $owner, string $log): void
    {
        $owner->unprepared(
            "alter table {$log} add column if not exists salt text, add column if not exists data_hash char(64), "
                .'add column if not exists prev_hash char(64), add column if not exists hash char(64), alter column '
                    .'id drop default',
        );
        self::rebuild($owner, $log);
        $owner->unprepared(
            "drop trigger if exists {$log}_chain on {$log}; create "
                ."trigger {$log}_chain before insert on {$log} for each row execute function chain_entry()",
        );
    }

    /**
     * Chains every entry that has none, in the order of their numbers; only the owner can, with the log's own
     * triggers off.
     */
    public static function rebuild(Connection $owner, string $log): void
    {
        $header = str_replace('to_jsonb(t)', 'to_jsonb(e)', self::HEADER);
        $owner->unprepared(
            <<<SQL
            set timezone to 'UTC';
            alter table {$log} disable trigger user;
            do \$\$
            declare
                e {$log}%rowtype;
                last text := repeat('0', 64);
                many bigint := 0;
            begin
                for e in select * from {$log} order by id loop
                    many := many + 1;
                    if e.hash is null then
                        e.salt := gen_random_uuid()::text;
                        e.data_hash := encode(sha256(convert_to(e.salt || coalesce(e.data::text, ''), 'UTF8')), 'hex');
                        e.prev_hash := last;
                        e.hash := encode(sha256(convert_to({$header}, 'UTF8')), 'hex');
                        update {$log}
                            set salt = e.salt, data_hash = e.data_hash, prev_hash = e.prev_hash, hash = e.hash
                            where id = e.id;
                    end if;
                    last := e.hash;
                end loop;
                insert into chain_heads (name, hash, entries) values ('{$log}', last, many)
                    on conflict (name) do update set hash = excluded.hash, entries = excluded.entries;
            end \$\$;
            alter table {$log} enable trigger user;
            SQL
            ,
        );
    }

    /**
     * Holds every entry against its hash, and the hashes against each other.
     *
     * @return array{entries: int, removed: int, head: string, faults: list<string>} removed: entries whose contents
     *     were taken out in order
     */
    public static function verify(string $log): array
    {
        return DB::transaction(static function () use ($log): array {
            if (DB::transactionLevel() === 1) {
                DB::unprepared('set transaction isolation level repeatable read, read only');
            }
            DB::unprepared("set local timezone to 'UTC'");
            $head = DB::selectOne('select hash, entries from chain_heads where name = ?', [$log]);
            [$last, $entries, $removed, $faults, $before] = [self::START, 0, 0, [], 0];
            do {
                $rows = DB::select(
                    'select id, data::text as data, salt, data_hash, prev_hash, hash, '.
                        self::HEADER.
                        " as header from {$log} t where id > ? order by id limit 5000",
                    [$before],
                );
                foreach ($rows as $row) {
                    $entries++;
                    $removed += $row->salt === null && $row->data === '{}' ? 1 : 0;
                    array_push($faults, ...self::faultsOf($row, $last, $before));
                    [$last, $before] = [(string) $row->hash, (int) $row->id];
                }
            } while ($rows !== [] && count($faults) < 50);
            if ($faults === [] && ($head->hash ?? self::START) !== $last) {
                $faults[] = 'The end is missing: the last entry found is '
                    ."number {$before}, and it is not the last that was written.";
            }
            if ($faults === [] && (int) ($head->entries ?? 0) !== $entries) {
                $faults[] = "There are {$entries} entries, and ".((int) ($head->entries ?? 0)).' were written.';
            }

            return ['entries' => $entries, 'removed' => $removed, 'head' => $last, 'faults' => $faults];
        });
    }

    /**
     * @param  string  $last  hash of the entry before
     * @param  int  $before  its number; 0 where there is none
     * @return list<string>
     */
    private static function faultsOf(stdClass $row, string $last, int $before): array
    {
        $faults = [];
        if (trim((string) $row->prev_hash) !== $last) {
            $faults[] = $before === 0
                ? "Entries before number {$row->id} are missing."
                : "Between number {$before} and number {$row->id} something was removed, added or changed.";
        }
        if (hash('sha256', $row->header) !== $row->hash) {
            $faults[] = "Entry {$row->id} was changed.";
        }
        $isRemoved = $row->salt === null && $row->data === '{}';
        if (! $isRemoved && hash('sha256', $row->salt.$row->data) !== $row->data_hash) {
            $faults[] = "The contents of entry {$row->id} were changed.";
        }

        return $faults;
    }
}
