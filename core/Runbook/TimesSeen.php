<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;

/**
 * How long stones took on this bench, on one model with one system. Enough of it takes the place of what was computed
 * (rules I5, M9): a machine that was measured is not estimated.
 */
final readonly class TimesSeen
{
    /** From so many on they say more than the arithmetic (default). */
    public const ENOUGH = 5;

    /** Stones whose time follows from model and system, not from how much somebody keeps or which stick is used. */
    private const LEARNED = '/^(install\.phase-[0-9]+|updates\.system)$/';

    /** @param  array<string, list<int>>  $seconds  id of the stone => how long it took, each time */
    public function __construct(private array $seconds = [])
    {
    }

    public static function learns(Step $step): bool
    {
        return preg_match(self::LEARNED, $step->id) === 1;
    }

    /**
     * Whether a clock says how long a stone took: in less than a third of its least time somebody laid it without it,
     * and in more than three times its most it lay done until somebody came by (rule K3).
     */
    public static function tells(Step $step, int $seconds): bool
    {
        return self::learns($step)
            && 3 * $seconds >= $step->time->low->seconds
            && $seconds <= 3 * $step->time->high->seconds;
    }

    /** The stone with the time it takes here; as it is where too little is known. */
    public function over(Step $step): Step
    {
        $seen = self::learns($step) ? $this->seconds[$step->id] ?? [] : [];
        if (count($seen) < self::ENOUGH) {
            return $step;
        }
        sort($seen);
        $time = Estimate::of(
            Duration::seconds(self::rank($seen, 0.1)),
            Duration::seconds(self::rank($seen, 0.5)),
            Duration::seconds(self::rank($seen, 0.9)),
        );
        $computed = $step->time->likely->label();

        return $step->with([
            'time' => $time,
            'because' => [
                new Reason(
                    'Done '.count($seen).' times here on this model with this system: half of them took up to '
                        ."{$time->likely->label()}, {$time->low->label()} to {$time->high->label()} as a rule. "
                        ."Worked out it would be {$computed}.",
                    'I5',
                    'the logs of this bench',
                ),
                // What sets the pace of the arithmetic does not set this one.
                ...array_filter($step->because, static fn (Reason $reason): bool => $reason->rule !== 'I5'),
            ],
        ]);
    }

    /**
     * The value below which that share of them lies, by nearest rank.
     *
     * @param  non-empty-list<int>  $sorted
     */
    private static function rank(array $sorted, float $share): int
    {
        return $sorted[max(0, (int) ceil($share * count($sorted)) - 1)];
    }
}
