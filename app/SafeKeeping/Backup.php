<?php

declare(strict_types=1);

namespace App\SafeKeeping;

use App\Bridge\StickRegister;
use App\Catalogue\CatalogueStore;
use App\Database\LogChain;
use App\Devices\Build\BuildFailure;
use App\Devices\Command;
use App\Devices\Stick\StickLock;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use Throwable;

/**
 * Everything that a shop cannot do without, in one folder, taken while people work and read back afterwards.
 *
 * database.dump and manifest.json are of one moment (an exported snapshot); photos are never changed, so those of
 * that moment are among
 * those copied after it; settings and the application key lie under the passphrase, and with the key all sealed keys.
 */
final class Backup
{
    public const FORMAT = 1;

    public const MANIFEST = 'manifest.json';

    public const SETTINGS = 'settings.sealed';

    public const DUMP = 'database.dump';

    /** Folders that always go along: name in the backup => setting of their place. */
    public const FOLDERS = ['photos', 'drivers', 'packages', 'signers'];

    /** @var list<string> */
    public array $notes = [];

    public function __construct(private readonly CatalogueStore $catalogue, private readonly StickRegister $register)
    {
    }

    /**
     * @param  callable(string): void  $say
     * @return array{place: string, bytes: int, parts: list<string>}
     *
     * @throws RuntimeException with nothing left half-made under the backup's name
     */
    public function write(
        string $to,
        string $passphrase,
        string $settings,
        bool $shelf,
        bool $sticks,
        callable $say,
    ): array {
        if (strlen($passphrase) < PassphraseSeal::SHORTEST) {
            throw new RuntimeException(
                'The passphrase needs at least '.PassphraseSeal::SHORTEST
                    .' characters: whoever has it and the backup can open every sealed key.',
            );
        }
        is_dir($to) || @mkdir($to, 0700, true);
        $place = rtrim($to, '/').'/cobblestone-'.now()->utc()->format('Y-m-d-His');
        $part = "{$place}.part";
        if (! is_dir($to) || is_dir($place) || ! @mkdir($part, 0700)) {
            throw new RuntimeException("{$part} cannot be made. Is {$to} a folder that may be written?");
        }
        try {
            $parts = $this->fill($part, $passphrase, $settings, $shelf, $sticks, $say);
            $say('Reading everything back');
            $this->verify($part, $passphrase);
            Command::run(['sync', '-f', $part], 3600);
            if (! rename($part, $place)) {
                throw new RuntimeException("{$part} could not be given its name.");
            }
        } catch (Throwable $e) {
            Command::run(['rm', '-rf', '--', $part], 600);
            throw $e instanceof RuntimeException ? $e : new RuntimeException('The backup could not be '
                ."written: {$e->getMessage()} Nothing of it was kept.", 0, $e);
        }
        $bytes = (int) explode("\t", Command::run(['du', '-sb', '--', $place], 600))[0];

        return ['place' => $place, 'bytes' => $bytes, 'parts' => $parts];
    }

    /**
     * Holds every file against its sum and opens what can be opened.
     *
     * @return array<string, mixed> the manifest
     *
     * @throws RuntimeException
     */
    public function verify(string $place, ?string $passphrase): array
    {
        $manifest = json_decode((string) @file_get_contents("{$place}/".self::MANIFEST), true);
        if (! is_array($manifest) || ($manifest['cobblestone_backup'] ?? null) !== self::FORMAT) {
            throw new RuntimeException("{$place} is no backup of this release's format.");
        }
        Command::run(['sh', '-c', 'cd -- "$1" && sha256sum --quiet --strict -c SHA256SUMS', 'sh', $place], 7200);
        (new DatabaseTools('pgsql'))->run('pg_restore', ['--list', "{$place}/".self::DUMP]);
        if ($passphrase !== null) {
            PassphraseSeal::open((string) file_get_contents("{$place}/".self::SETTINGS), $passphrase);
        }

        return $manifest;
    }

    /**
     * @param  callable(string): void  $say
     * @return list<string>
     */
    private function fill(
        string $part,
        string $passphrase,
        string $settings,
        bool $shelf,
        bool $sticks,
        callable $say,
    ): array {
        $parts = ['database', 'settings', 'catalogue', ...self::FOLDERS];
        $say('Database');
        $manifest = $this->database($part);
        $say('Settings and keys, sealed');
        file_put_contents("{$part}/".self::SETTINGS, PassphraseSeal::close($settings, $passphrase));
        $say('Catalogue, photos, drivers, packages, signers');
        $this->catalogue->export("{$part}/catalogue");
        foreach (self::FOLDERS as $name) {
            FolderCopy::make((string) config("cobblestone.{$name}"), "{$part}/{$name}");
        }
        if ($shelf) {
            $say('Shelf');
            FolderCopy::make((string) config('cobblestone.shelf'), "{$part}/shelf");
            Command::run(['rm', '-rf', '--', "{$part}/shelf/.arriving"], 600);
            $parts[] = 'shelf';
        }
        if ($sticks) {
            $say('Sticks');
            $this->sticks($part);
            $parts[] = 'sticks';
        }

        return $this->written($part, $parts, $manifest);
    }

    /**
     * @param  list<string>  $parts
     * @param  array<string, mixed>  $manifest
     * @return list<string>
     */
    private function written(string $part, array $parts, array $manifest): array
    {
        file_put_contents(
            "{$part}/".self::MANIFEST,
            json_encode(
                [
                    'cobblestone_backup' => self::FORMAT,
                    'made_at' => now()->toIso8601String(),
                    'parts' => $parts,
                    ...$manifest,
                    'notes' => $this->notes,
                ],
                JSON_PRETTY_PRINT,
            )
                ."\n",
        );
        Command::run(
            [
                'sh', '-c',
                'cd -- "$1" && find . -type f ! -name SHA256SUMS -print0 | sort -z | xargs -0 sha256sum >SHA256SUMS',
                'sh', $part,
            ],
            7200,
        );

        return $parts;
    }

    /** @return array<string, mixed> what stood in the tables at the dump's own moment */
    private function database(string $part): array
    {
        DB::beginTransaction();
        try {
            DB::unprepared('set transaction isolation level repeatable read, read only');
            $snapshot = (string) DB::selectOne('select pg_export_snapshot() as name')->name;
            $without = array_map(
                static fn (string $table): string => "--exclude-table-data={$table}",
                TableSums::OF_THE_MOMENT,
            );
            (new DatabaseTools('pgsql'))->run('pg_dump', [
                '--format=custom',
                "--snapshot={$snapshot}",
                '--file='."{$part}/".self::DUMP,
                ...$without,
            ]);

            return [
                'tables' => TableSums::now(),
                'chains' => array_map(static function (string $log): array {
                    $head = DB::selectOne('select hash from chain_heads where name = ?', [$log])->hash ?? '';

                    return ['log' => $log, 'head' => (string) $head];
                }, LogChain::LOGS),
            ];
        } finally {
            DB::rollBack();
        }
    }

    /**
     * A stick that is being written is waited for a moment, and then left out and named. Only what is on a stick is
     * kept, not its empty space.
     */
    private function sticks(string $part): void
    {
        $folder = (string) config('cobblestone.sticks');
        foreach (array_keys($this->register->all()) as $slug) {
            $files = array_map(basename(...), glob("{$folder}/{$slug}.{img,json,unfinished}", GLOB_BRACE) ?: []);
            try {
                $lock = StickLock::take($slug);
            } catch (BuildFailure) {
                $this->notes[] = "The stick {$slug} was being written and was left out.";

                continue;
            }
            $files === []
                || Command::run(
                    [
                        'tar',
                        '--create',
                        '--sparse',
                        "--directory={$folder}",
                        "--file={$part}/".self::stick($slug),
                        '--',
                        ...$files,
                    ],
                    36_000,
                );
            fclose($lock);
        }
    }

    public static function stick(string $slug): string
    {
        return "stick-{$slug}.tar";
    }
}
