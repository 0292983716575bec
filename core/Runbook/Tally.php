<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** Things counted by type, as written by hand: "6 × short, 2 × long", "short: 6", or a bare number. */
final readonly class Tally
{
    /** @param  array<string, int>  $counts  type in lower case => how many */
    private function __construct(public array $counts)
    {
    }

    /** Null where some part of it is no count. */
    public static function parse(string $text): ?self
    {
        $counts = [];
        foreach (preg_split('/[,;\n]+/u', $text) ?: [] as $part) {
            $part = trim(mb_strtolower($part));
            if ($part === '') {
                continue;
            }
            $found =
                preg_match('/^(?<n>\d{1,4})\s*(?:[×x*]\s*)?(?<type>\D.*)?$/u', $part, $m) === 1 ||
                preg_match('/^(?<type>.+?)\s*[:=]?\s*(?<n>\d{1,4})$/u', $part, $m) === 1;
            if (! $found) {
                return null;
            }
            $type = trim($m['type'] ?? '') === '' ? 'screws' : trim($m['type']);
            $counts[$type] = ($counts[$type] ?? 0) + (int) $m['n'];
        }
        ksort($counts);

        return $counts === [] ? null : new self($counts);
    }

    public function total(): int
    {
        return array_sum($this->counts);
    }

    /** @return list<string> "short: 6 out, 5 in", for each type that differs */
    public function against(self $other): array
    {
        $differences = [];
        foreach (array_unique([...array_keys($this->counts), ...array_keys($other->counts)]) as $type) {
            [$here, $there] = [$this->counts[$type] ?? 0, $other->counts[$type] ?? 0];
            if ($here !== $there) {
                $differences[] = "{$type}: {$here}, not {$there}";
            }
        }

        return $differences;
    }
}
