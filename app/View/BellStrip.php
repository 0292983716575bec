<?php

declare(strict_types=1);

namespace App\View;

/** The strip on every page: what needs hands first, and how many wait besides. */
final readonly class BellStrip
{
    /**
     * @param  string|null  $clock  time to go, or since, as minutes and seconds; null where it is due now
     * @param  int  $until  seconds since 1970
     */
    private function __construct(
        public bool $late,
        public string $href,
        public ?string $clock,
        public int $until,
        public string $job,
        public string $action,
        public string $rest,
    ) {
    }

    /**
     * @param  list<array{job: int, slot: int|null, title: string, step: string, action: string, due: int,
     *     overdue: bool}>  $items  most urgent first
     * @return self|null null where nothing needs hands
     */
    public static function of(array $items, int $now): ?self
    {
        $first = $items[0] ?? null;
        if ($first === null) {
            return null;
        }
        $more = count($items) - 1;
        $seconds = abs($first['due']);

        return new self(
            $first['overdue'],
            "/jobs/{$first['job']}/run?stone={$first['step']}",
            $first['due'] === 0
                ? null
                : ($first['due'] < 0 ? '+' : '').sprintf('%d:%02d', intdiv($seconds, 60), $seconds % 60),
            $now + $first['due'],
            ($first['slot'] === null ? '' : "Slot {$first['slot']}, ").$first['title'],
            $first['action'],
            $more === 0 ? '' : "and {$more} more ".($more === 1 ? 'waits' : 'wait'),
        );
    }
}
