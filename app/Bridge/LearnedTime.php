<?php

declare(strict_types=1);

namespace App\Bridge;

use Cobblestone\Quantity\Duration;
use Cobblestone\Runbook\TimesSeen;
use stdClass;

/** How long a stone took on a model with a system, as the logbook lists it. */
final readonly class LearnedTime
{
    /**
     * @param  list<string>  $out  times that are too far off to count
     * @param  array<string, string>  $sticks  name => how often and how long, of stones that read from one
     */
    private function __construct(
        public string $model,
        public string $machine,
        public string $system,
        public string $title,
        public int $many,
        public string $middle,
        public string $range,
        public array $out,
        public array $sticks,
    ) {
    }

    public static function of(stdClass $row): self
    {
        $said = static fn (int $seconds): string => Duration::seconds($seconds)->label();
        /** @var list<array{int, string}> $seen */
        $seen = array_values((array) json_decode((string) $row->seconds, true));
        $sticks = TimesSeen::bySticks($seen);
        [$kept, $out] = TimesSeen::together($sticks);

        return new self(
            (string) $row->model,
            (string) $row->name,
            (string) $row->system,
            (string) $row->title,
            count($kept),
            $said($kept[intdiv(count($kept) - 1, 2)] ?? 0),
            implode(' to ', array_unique([$said($kept[0] ?? 0), $said($kept[count($kept) - 1] ?? 0)])),
            array_map($said, $out),
            self::sticks($sticks),
        );
    }

    /**
     * @param  array<string, array{list<int>, list<int>}>  $sticks  seconds that count, sorted, and those that do not
     * @return array<string, string>
     */
    private static function sticks(array $sticks): array
    {
        $said = [];
        unset($sticks['']);
        foreach ($sticks as $stick => [$kept]) {
            $said[$stick] = count($kept).' × '.Duration::seconds($kept[intdiv(count($kept) - 1, 2)] ?? 0)->label();
        }
        ksort($said);

        return $said;
    }

    /** How long with which stick: "Tern 64 3 × 9 min, Gull 32 1 × 14 min". */
    public function withSticks(): string
    {
        return implode(', ', array_map(
            static fn (string $name, string $said): string => "{$name} {$said}",
            array_keys($this->sticks),
            $this->sticks,
        ));
    }
}
