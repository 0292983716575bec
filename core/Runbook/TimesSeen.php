<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Text\Counted;

/**
 * How long stones took on this bench, on one model with one system: each time draws the estimate away from what was
 * worked out (rules I5, S).
 */
final readonly class TimesSeen
{
    /** From so many on it can be told which are far off (default). */
    public const ENOUGH = 5;

    /** What was worked out counts as much as so many times seen (default). */
    public const PULL = 3;

    /** Of so many, the newest, it is learned: a bench and its systems change (default). */
    public const NEWEST = 100;

    /** Standard deviations beyond which one is far off. */
    private const FAR = 3;

    /** Stones whose time follows from model and system, not from how much somebody keeps or which stick is used. */
    private const LEARNED = '/^(install\.phase-[0-9]+|updates\.system|drivers\.[a-z0-9.-]+|first-boot\.answers|'
        .'firmware\.(snapshot|set)|hardware\.[a-z-]+|proof\.readings)$/';

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

    /** The stone with the time it takes here: what was seen, drawn towards what was worked out. */
    public function over(Step $step): Step
    {
        $all = self::learns($step) ? $this->seconds[$step->id] ?? [] : [];
        $out = self::outliers($all);
        $seen = array_values(array_diff($all, $out));
        if ($seen === []) {
            return $step;
        }
        sort($seen);
        $computed = $step->time;
        $likely = self::drawn($seen, 0.5, $computed->likely->seconds);
        $time = Estimate::of(
            Duration::seconds(min($likely, self::drawn($seen, 0.1, $computed->low->seconds))),
            Duration::seconds($likely),
            Duration::seconds(max($likely, self::drawn($seen, 0.9, $computed->high->seconds))),
        )->restingOn('learned from '.count($seen));

        return $step->with([
            'time' => $time,
            'because' => [
                new Reason(self::words($seen, $out, $computed), 'I5', 'the logs of this bench'),
                // What sets the pace of the arithmetic does not set this one.
                ...array_filter($step->because, static fn (Reason $reason): bool => $reason->rule !== 'I5'),
            ],
        ]);
    }

    /**
     * @param  non-empty-list<int>  $seen  sorted
     * @param  list<int>  $out
     */
    private static function words(array $seen, array $out, Estimate $computed): string
    {
        return 'Done '.Counted::of(count($seen), 'time').' here on this model with this system: half of them took up '
            .'to '.Duration::seconds(self::rank($seen, 0.5))->label().', worked out it would be '
            .$computed->likely->label().'; that counts as much as '.self::PULL.' times seen.'
            .($out === [] ? '' : ' Left out, because they are far off: '.implode(', ', array_map(
                static fn (int $one): string => Duration::seconds($one)->label(),
                $out,
            )).'.');
    }

    /**
     * Times that are too far off to be of the same kind: somebody forgot the clock, or something else went wrong.
     *
     * @param  list<int>  $seconds
     * @return list<int> those beyond three times the usual distance from the middle one
     */
    public static function outliers(array $seconds): array
    {
        if (count($seconds) < self::ENOUGH) {
            return [];
        }
        sort($seconds);
        $middle = self::rank($seconds, 0.5);
        $distances = array_map(static fn (int $one): int => abs($one - $middle), $seconds);
        sort($distances);
        // 1.4826 makes the middle distance of a normal spread its standard deviation; below that nothing is told apart.
        $usual = max(1.4826 * self::rank($distances, 0.5), 0.05 * $middle);

        return array_values(array_filter(
            $seconds,
            static fn (int $one): bool => abs($one - $middle) > self::FAR * $usual,
        ));
    }

    /**
     * @param  non-empty-list<int>  $seen  sorted
     * @param  int  $computed  seconds that were worked out for that share
     */
    private static function drawn(array $seen, float $share, int $computed): int
    {
        $many = count($seen);

        return (int) round(($many * self::rank($seen, $share) + self::PULL * $computed) / ($many + self::PULL));
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
