<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Frames;

/** Frame rates of one or more runs at the same settings (rule T3). */
final readonly class FrameRun
{
    /** So many runs or blocks say between what the rate lies. */
    public const ENOUGH = 3;

    private const SLOWEST = 0.01;

    /**
     * @param  Spread|null  $spread  of runs, or of blocks of one; null where there are too few
     * @param  list<string>  $notes
     */
    private function __construct(
        public int $frames,
        public float $seconds,
        public float $rate,
        public float $low,
        public ?Spread $spread,
        public int $runs,
        public FrameSettings $settings,
        public array $notes,
    ) {
    }

    /** @param  non-empty-list<FrameLog>  $logs */
    public static function of(array $logs, FrameSettings $settings): self
    {
        $frames = array_sum(array_map(static fn (FrameLog $log): int => count($log->seconds), $logs));
        $seconds = array_sum(array_map(static fn (FrameLog $log): float => $log->total(), $logs));
        $figures = count($logs) >= self::ENOUGH
            ? array_map(static fn (FrameLog $log): float => $log->rate(), $logs)
            : array_merge(...array_map(static fn (FrameLog $log): array => $log->blocks(), $logs));

        return new self(
            $frames,
            $seconds,
            $frames / $seconds,
            self::low($logs, $frames),
            count($figures) >= self::ENOUGH ? Spread::of($figures) : null,
            count($logs),
            $settings,
            array_merge(...array_map(static fn (FrameLog $log): array => array_map(
                static fn (string $note): string => count($logs) === 1 ? $note : "{$log->name}: {$note}",
                $log->notes,
            ), $logs)),
        );
    }

    /**
     * Frames over the time of the slowest hundredth.
     *
     * @param  list<FrameLog>  $logs
     */
    private static function low(array $logs, int $frames): float
    {
        $all = array_merge(...array_map(static fn (FrameLog $log): array => $log->seconds, $logs));
        rsort($all, SORT_NUMERIC);
        $count = max(1, (int) ceil($frames * self::SLOWEST));
        $time = 0.0;
        for ($i = 0; $i < $count; $i++) {
            $time += $all[$i];
        }

        return $count / $time;
    }

    /** @return array{0: float, 1: float}|null between what the rate lies with 95 % */
    public function interval(): ?array
    {
        $half = $this->spread?->half();

        return $this->spread === null || $half === null
            ? null
            : [max(0.0, $this->spread->mean - $half), $this->spread->mean + $half];
    }
}
