<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connection;

/** What the application's role may do in each table; given anew by the owner after every migration. */
final class Grants
{
    public const APPLICATION = 'cobblestone_app';

    /** The database itself holds that these only grow. */
    public const ONLY_GROW = ['log_entries', 'plans', 'stick_events', 'policies', 'bench_events', 'safe_keepings'];

    /** Written by the database's own functions, or by migrations. */
    private const ONLY_READ = ['chain_heads', 'migrations'];

    private const ENDS = ['remove_contents(text, bigint)', 'remove_plan(bigint)'];

    /** What every page and every action asks, which only reads what the application may read anyhow. */
    private const ASKED = [
        'bell_rows(timestamptz)', 'catalogue_version()', 'person_of(bigint)', 'path_mark(bigint, integer)',
        'held_job(bigint)', 'arrival(text, timestamptz, bigint)', 'path_about(json)', 'path_titles(json)',
    ];

    /** @param  Connection  $owner  connection of the tables' owner */
    public static function give(Connection $owner): void
    {
        if (
            $owner->selectOne('select 1 from pg_roles where rolname = ?', [self::APPLICATION]) === null ||
            $owner->getConfig('username') === self::APPLICATION
        ) {
            return;
        }
        $role = self::APPLICATION;
        $owner->unprepared(
            "revoke all on all tables in schema public from {$role}; revoke all on all sequences in schema public "
                ."from {$role}; grant usage, select on all sequences in schema public to {$role}; revoke all on all "
                .'functions in schema public from public;',
        );
        foreach ($owner->select("select tablename from pg_tables where schemaname = 'public'") as $table) {
            $may = match (true) {
                in_array($table->tablename, self::ONLY_READ, true) => 'select',
                in_array($table->tablename, self::ONLY_GROW, true) => 'select, insert',
                default => 'select, insert, update, delete',
            };
            $owner->unprepared("grant {$may} on table \"{$table->tablename}\" to {$role}");
        }
        // Contents may end (owners' data does); that they were there, and what stands around them, may not.
        foreach ([...self::ENDS, ...self::ASKED] as $function) {
            // After a migration was taken back, one of them is not there.
            if ($owner->scalar('select to_regprocedure(?)', [$function]) !== null) {
                $owner->unprepared("grant execute on function {$function} to {$role}");
            }
        }
    }
}
