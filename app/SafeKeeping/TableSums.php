<?php

declare(strict_types=1);

namespace App\SafeKeeping;

use Illuminate\Support\Facades\DB;

/** What stands in every table, as a count and a sum that does not depend on the order of the rows. */
final class TableSums
{
    /** Tables whose rows are of the moment: nobody misses them, and nobody is signed in after a restore. */
    public const OF_THE_MOMENT = ['sessions', 'cache', 'cache_locks', 'queue_jobs', 'failed_jobs'];

    /** @return array<string, array{rows: int, sum: string}> */
    public static function now(): array
    {
        $sums = [];
        foreach (
            DB::select("select tablename from pg_tables where schemaname = 'public' order by tablename") as $table
        ) {
            if (! in_array($table->tablename, self::OF_THE_MOMENT, true)) {
                $row = DB::selectOne(
                    'select count(*) as many, coalesce(sum(hashtextextended(t::text, 0)::numeric), 0)::text as '
                        ."total from \"{$table->tablename}\" t",
                );
                $sums[$table->tablename] = ['rows' => (int) $row->many, 'sum' => (string) $row->total];
            }
        }

        return $sums;
    }

    /**
     * @param  array<string, array{rows: int, sum: string}>  $then
     * @param  array<string, array{rows: int, sum: string}>  $now
     * @return list<string> what differs, in words
     */
    public static function differences(array $then, array $now): array
    {
        $differences = [];
        foreach ($then as $table => $one) {
            $other = $now[$table] ?? null;
            if ($other === null || $other['rows'] !== $one['rows']) {
                $differences[] =
                    "{$table}: {$one['rows']} rows were backed up, ".
                    ($other['rows'] ?? 'no table').
                    ' stand there now.';
            } elseif ($other['sum'] !== $one['sum']) {
                $differences[] = "{$table}: as many rows, with other contents.";
            }
        }

        return $differences;
    }
}
