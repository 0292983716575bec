<?php

declare(strict_types=1);

namespace App\Health;

use Illuminate\Support\Carbon;

/**
 * The processes beside the web server: whether each lives, and which of them died and were started again.
 * Each writes its number when it begins; the supervisor's listener (deploy/note-deaths.php) writes a line when one
 * ends unasked.
 */
final class Workers
{
    /** Name of the process => what people call it. */
    public const NAMES = [
        'work' => 'inspection of images',
        'work-hash' => 'checksums',
        'work-builds' => 'builds of sticks',
        'work-starts' => 'starts of sticks and images',
        'watch' => 'watcher of the shelf',
    ];

    private const HOURS = 24;

    /** Said once by a process that is one of them. */
    public static function began(string $name): void
    {
        if (isset(self::NAMES[$name]) && self::isThere()) {
            @file_put_contents(self::folder()."/{$name}.pid", (string) getmypid());
        }
    }

    /** @return array<string, bool>|null name => lives; null where nobody started any (a test, a command) */
    public static function alive(): ?array
    {
        if (! self::isThere() || glob(self::folder().'/*.pid') === []) {
            return null;
        }

        return array_map(
            static fn (string $name): bool => self::lives($name),
            array_combine(array_keys(self::NAMES), array_keys(self::NAMES)),
        );
    }

    /**
     * @return list<array{name: string, at: Carbon}> deaths of the last day that the lead has not seen yet, newest first
     */
    public static function deaths(): array
    {
        $file = self::folder().'/deaths.jsonl';
        $seen = (int) @file_get_contents(self::folder().'/deaths-seen');
        $deaths = [];
        foreach (array_slice(is_file($file) ? (array) file($file) : [], -200) as $line) {
            $death = json_decode((string) $line, true);
            if (
                is_array($death) &&
                is_int($death['at'] ?? null) &&
                is_string($death['name'] ?? null) &&
                $death['at'] > max($seen, now()->subHours(self::HOURS)->timestamp)
            ) {
                $deaths[] = [
                    'name' => self::NAMES[$death['name']] ?? mb_substr($death['name'], 0, 40),
                    'at' => Carbon::createFromTimestamp($death['at']),
                ];
            }
        }

        return array_reverse($deaths);
    }

    public static function seen(): void
    {
        @file_put_contents(self::folder().'/deaths-seen', (string) now()->timestamp);
    }

    private static function isThere(): bool
    {
        return is_dir(self::folder());
    }

    private static function lives(string $name): bool
    {
        $pid = (int) @file_get_contents(self::folder()."/{$name}.pid");

        return $pid > 0 &&
            is_dir("/proc/{$pid}") &&
            str_contains((string) @file_get_contents("/proc/{$pid}/cmdline"), 'artisan');
    }

    private static function folder(): string
    {
        return (string) config('cobblestone.state');
    }
}
