<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Frames;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** Frame rates of one or more runs at the same settings (rule T3). */
final readonly class FrameRun
{
    /** So many runs or blocks say between what the rate lies. */
    public const ENOUGH = 3;

    private const SLOWEST = 0.01;

    /**
     * @param  list<float>  $figures  rates of the runs, or of blocks of a second where they are fewer than ENOUGH
     * @param  Spread|null  $spread  of these; null where there are too few
     * @param  list<string>  $logs  names of the runs
     * @param  list<string>  $notes
     */
    private function __construct(
        public int $frames,
        public float $seconds,
        public float $rate,
        public float $low,
        public array $figures,
        public ?Spread $spread,
        public array $logs,
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
            $figures,
            self::spread($figures),
            array_map(static fn (FrameLog $log): string => $log->name, $logs),
            $settings,
            array_merge(...array_map(static fn (FrameLog $log): array => array_map(
                static fn (string $note): string => count($logs) === 1 ? $note : "{$log->name}: {$note}",
                $log->notes,
            ), $logs)),
        );
    }

    /** @throws FieldFault with the path of what does not fit */
    public static function read(Fields $fields): self
    {
        $figures = array_map(static fn (int|float $one): float => (float) $one, $fields->numbers('figures'));

        return new self(
            $fields->int('frames'),
            (float) $fields->number('seconds'),
            (float) $fields->number('rate'),
            (float) $fields->number('low'),
            $figures,
            self::spread($figures),
            $fields->strings('logs'),
            new FrameSettings($fields->optionalString('picture'), $fields->optionalString('power')),
            $fields->strings('notes'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'frames' => $this->frames,
            'seconds' => $this->seconds,
            'rate' => $this->rate,
            'low' => $this->low,
            'figures' => $this->figures,
            'logs' => $this->logs,
            'picture' => $this->settings->picture,
            'power' => $this->settings->power,
            'notes' => $this->notes,
        ];
    }

    /** @param  list<float>  $figures */
    private static function spread(array $figures): ?Spread
    {
        return count($figures) >= self::ENOUGH ? Spread::of($figures) : null;
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
