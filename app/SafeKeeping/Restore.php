<?php

declare(strict_types=1);

namespace App\SafeKeeping;

use App\Devices\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use RuntimeException;

/** A backup back into an empty shop; everything is held against the backup before anybody works in it. */
final class Restore
{
    public function __construct(private readonly Backup $backup)
    {
    }

    /** @throws RuntimeException where people are there: nothing that is in use is ever overwritten */
    public function mustBeEmpty(): void
    {
        if (Schema::hasTable('users') && DB::table('users')->exists()) {
            throw new RuntimeException(
                'This bench has people and work. A backup goes into an empty shop: a fresh checkout, or here after '
                    .'bin/stop and moving var/pg aside. Nothing was changed.',
            );
        }
    }

    /** The settings as they were, with the application key. */
    public function settings(string $from, string $passphrase): string
    {
        return PassphraseSeal::open((string) @file_get_contents("{$from}/".Backup::SETTINGS), $passphrase);
    }

    /**
     * @param  callable(string): void  $say
     * @return list<string> what differs from the backup; empty when everything is there
     */
    public function read(string $from, string $passphrase, callable $say): array
    {
        $say('Holding the backup against its sums');
        $manifest = $this->backup->verify($from, $passphrase);
        $this->mustBeEmpty();
        $say('Database');
        DB::connection('owner')->unprepared(
            'drop schema public cascade; create schema public; grant usage on schema public to cobblestone_app;',
        );
        (new DatabaseTools('owner'))->run('pg_restore', [
            '--no-owner',
            '--exit-on-error',
            '--single-transaction',
            '--dbname='.config('database.connections.owner.database'),
            "{$from}/".Backup::DUMP,
        ]);
        DB::purge();
        foreach ([...Backup::FOLDERS, 'shelf'] as $name) {
            if (is_dir("{$from}/{$name}")) {
                $say(ucfirst($name));
                $to = (string) config("cobblestone.{$name}");
                is_dir($to) || mkdir($to, 0750, true);
                Command::run(['cp', '-a', '--sparse=always', '--', "{$from}/{$name}/.", $to], 36_000);
            }
        }
        $sticks = glob("{$from}/".Backup::stick('*')) ?: [];
        foreach ($sticks as $stick) {
            $to = (string) config('cobblestone.sticks');
            is_dir($to) || mkdir($to, 0750, true);
            Command::run(['tar', '--extract', '--sparse', "--directory={$to}", "--file={$stick}"], 36_000);
        }
        $say('Comparing everything');

        return [
            ...TableSums::differences($manifest['tables'], TableSums::now()),
            ...$this->files($from),
            ...$this->sticks($sticks),
        ];
    }

    /** @return list<string> */
    private function files(string $from): array
    {
        $differences = [];
        foreach ([...Backup::FOLDERS, 'shelf'] as $name) {
            if (is_dir("{$from}/{$name}")) {
                try {
                    Command::run(
                        [
                            'sh',
                            '-c',
                            'cd -- "$1" && find . -type f -print0 | (cd -- "$2" && xargs -0r ls -d -- >/dev/null) && '
                                .'diff -rq --no-dereference -- "$1" "$2" | grep -v "^Only in $2" || true',
                            'sh',
                            "{$from}/{$name}",
                            (string) config("cobblestone.{$name}"),
                        ],
                        36_000,
                    ) === '' ?:
                    ($differences[] = "{$name}: some files differ from the backup.");
                } catch (RuntimeException $e) {
                    $differences[] = "{$name}: {$e->getMessage()}";
                }
            }
        }

        return $differences;
    }

    /**
     * @param  list<string>  $sticks
     * @return list<string>
     */
    private function sticks(array $sticks): array
    {
        $differences = [];
        foreach ($sticks as $stick) {
            try {
                // Packed again it is the same file: then so is what is in it. Else it is gone through byte by byte,
                // empty space too.
                $again =
                    'cd -- "$2" && test "$(tar --list --file="$1" | xargs -d "\n" tar --create --sparse --file=- -- '
                        .'| sha256sum)" = "$(sha256sum <"$1")" || tar --compare --directory="$2" --file="$1"';
                Command::run(
                    ['sh', '-c', $again, 'sh', (string) realpath($stick), (string) config('cobblestone.sticks')],
                    36_000,
                );
            } catch (RuntimeException $e) {
                $differences[] = basename($stick).": {$e->getMessage()}";
            }
        }

        return $differences;
    }
}
