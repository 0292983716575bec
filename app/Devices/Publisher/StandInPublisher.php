<?php

declare(strict_types=1);

namespace App\Devices\Publisher;

use RuntimeException;

/**
 * The simulated publishers of the demo: a folder of files with a SHA256SUMS, given out at the pace of a line. What is
 * to go wrong stands in faults.json: {"file": {"breaks_at": bytes, "alters_at": bytes}}; a break happens once.
 */
final class StandInPublisher implements Publisher
{
    private const BYTES_A_SECOND = 12_500_000;

    public function __construct(private readonly string $folder)
    {
    }

    public function offer(string $file): ?Offer
    {
        $path = $this->path($file);

        return $path === null ? null : new Offer($file, (int) filesize($path), $this->sums()[$file] ?? null);
    }

    public function piece(string $file, int $from, int $length): string
    {
        $path = $this->path($file) ?? throw new RuntimeException("The publisher does not have {$file} any more.");
        [$breaks, $alters] = $this->faults($file);
        if ($breaks !== null && $from + $length > $breaks) {
            $this->onceOnly($file);
            throw new RuntimeException('The line broke.');
        }
        $bytes = (string) file_get_contents($path, false, null, $from, max(1, $length));
        usleep((int) (strlen($bytes) / self::BYTES_A_SECOND * 1e6));
        if ($alters !== null && $alters >= $from && $alters < $from + strlen($bytes)) {
            $bytes[$alters - $from] = chr(ord($bytes[$alters - $from]) ^ 1);
        }

        return $bytes;
    }

    private function path(string $file): ?string
    {
        $path = "{$this->folder}/{$file}";

        return preg_match('/^[A-Za-z0-9][A-Za-z0-9._-]*$/', $file) === 1 && is_file($path) ? $path : null;
    }

    /** @return array<string, string> file => sum */
    private function sums(): array
    {
        preg_match_all('/^([0-9a-f]{64})  (\S+)$/m', (string) @file_get_contents("{$this->folder}/SHA256SUMS"), $lines);

        return array_combine($lines[2], $lines[1]);
    }

    /** @return array{int|null, int|null} where the line breaks, and which byte comes altered */
    private function faults(string $file): array
    {
        $all = json_decode((string) @file_get_contents("{$this->folder}/faults.json"), true);
        $of = is_array($all) && is_array($all[$file] ?? null) ? $all[$file] : [];

        return [
            is_int($of['breaks_at'] ?? null) ? $of['breaks_at'] : null,
            is_int($of['alters_at'] ?? null) ? $of['alters_at'] : null,
        ];
    }

    private function onceOnly(string $file): void
    {
        $all = json_decode((string) file_get_contents("{$this->folder}/faults.json"), true);
        if (is_array($all)) {
            unset($all[$file]['breaks_at']);
            file_put_contents("{$this->folder}/faults.json", json_encode($all, JSON_THROW_ON_ERROR));
        }
    }
}
