<?php

declare(strict_types=1);

namespace App\SafeKeeping;

use RuntimeException;
use Symfony\Component\Process\Process;

/** PostgreSQL's own programs, with the password in their surroundings, never in their arguments. */
final class DatabaseTools
{
    private const SECONDS = 7200;

    /** @param  string  $connection  pgsql (the application's) or owner */
    public function __construct(private readonly string $connection)
    {
    }

    /**
     * @param  list<string>  $arguments
     *
     * @throws RuntimeException with the program's own last words
     */
    public function run(string $program, array $arguments): string
    {
        $of = config("database.connections.{$this->connection}");
        $process = new Process(
            [self::path($program), ...$arguments],
            null,
            [
                'PGHOST' => $of['host'],
                'PGPORT' => (string) $of['port'],
                'PGUSER' => $of['username'],
                'PGPASSWORD' => $of['password'],
                'PGDATABASE' => $of['database'],
                'LC_ALL' => 'C.UTF-8',
            ],
            null,
            self::SECONDS,
        );
        if ($process->run() !== 0) {
            throw new RuntimeException("{$program}: ".mb_substr(trim(mb_scrub($process->getErrorOutput())), -400));
        }

        return $process->getOutput();
    }

    private static function path(string $program): string
    {
        $found = glob("/usr/lib/postgresql/*/bin/{$program}") ?: [];
        natsort($found);

        return end($found) ?: $program;
    }
}
