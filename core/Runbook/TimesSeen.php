<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Text\Counted;

/**
 * How long stones took on this bench, on one model with one system: each time draws the estimate away from what was
 * worked out. A stone that reads from the stick goes by what was seen with that stick first (rules I5, S).
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

    /**
     * @param  array<string, list<array{int, string}>>  $seen  id of the stone => each time: seconds, and the stick that
     *     it read from, empty where it read from none
     */
    public function __construct(private array $seen = [])
    {
    }

    /** Whether the stone reads from the stick that the job starts from: up to where it comes out. */
    public static function readsStick(Step $step): bool
    {
        return preg_match('/^install\.phase-[0-9]+$/', $step->id) === 1
            && ! in_array(PathFact::STICK_OUT, $step->before, true);
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

    /**
     * The stone with the time it takes here: what was seen, drawn towards what was worked out.
     *
     * @param  string|null  $stick  that the job starts from
     */
    public function over(Step $step, ?string $stick = null): Step
    {
        $all = self::learns($step) ? $this->seen[$step->id] ?? [] : [];
        $stick = self::readsStick($step) ? $stick : null;
        $isOwn = static fn (array $one): bool => $stick === null || $one[1] === $stick;
        [$own, $ownOut] = self::together(self::bySticks(array_filter($all, $isOwn)));
        [$others, $othersOut] = self::together(self::bySticks(array_filter(
            $all,
            static fn (array $one): bool => ! $isOwn($one),
        )));
        if ($own === [] && $others === []) {
            return $step;
        }
        // What other sticks took is closer to it than arithmetic, what this one took is closer still.
        $time = self::drawn($own, self::drawn($others, $step->time));
        // Of a time that nobody noted the stick of, it may have been this one.
        $stick = $own === [] && in_array('', array_column($all, 1), true) ? null : $stick;

        return $step->with([
            'time' => $time->restingOn('learned from '.(count($own) + count($others))),
            'because' => [
                new Reason(
                    self::words($own, $others, $stick, $step->time).self::leftOut([...$ownOut, ...$othersOut]),
                    'I5',
                    'the logs of this bench',
                ),
                // What sets the pace of the arithmetic does not set this one.
                ...array_filter($step->because, static fn (Reason $reason): bool => $reason->rule !== 'I5'),
            ],
        ]);
    }

    /**
     * Far off is told among the times of one stick: a slow stick is no mistake.
     *
     * @param  array<array{int, string}>  $times
     * @return array<string, array{list<int>, list<int>}> stick => seconds that count, sorted, and those far off
     */
    public static function bySticks(array $times): array
    {
        $sticks = [];
        foreach ($times as [$seconds, $stick]) {
            $sticks[$stick][] = $seconds;
        }

        return array_map(static function (array $seconds): array {
            $far = self::outliers($seconds);
            $kept = $far === [] ? $seconds : array_values(array_diff($seconds, $far));
            sort($kept);

            return [$kept, $far];
        }, $sticks);
    }

    /**
     * @param  array<string, array{list<int>, list<int>}>  $sticks  as bySticks() gives them
     * @return array{list<int>, list<int>} of all of them: seconds that count, sorted, and those that are far off
     */
    public static function together(array $sticks): array
    {
        $kept = array_merge(...array_column($sticks, 0));
        sort($kept);

        return [$kept, array_merge(...array_column($sticks, 1))];
    }

    /**
     * @param  list<int>  $own  sorted
     * @param  list<int>  $others  sorted
     */
    private static function words(array $own, array $others, ?string $stick, Estimate $computed): string
    {
        $all = [...$own, ...$others];
        sort($all);
        $half = self::half($all);
        $split = match (true) {
            $stick === null || $others === [] => ": half of them took up to {$half}",
            $own === [] => ", with other sticks: half of them took up to {$half}",
            default => ', '.count($own)." of them with {$stick}: half of those took up to ".self::half($own)
                .", half of all up to {$half}",
        };

        return 'Done '.Counted::of(count($all), 'time')." here on this model with this system{$split}, worked out it "
            ."would be {$computed->likely->label()}; that counts as much as ".self::PULL.' times seen.';
    }

    /** @param  list<int>  $sorted */
    private static function half(array $sorted): string
    {
        return $sorted === [] ? '' : Duration::seconds(self::rank($sorted, 0.5))->label();
    }

    /** @param  list<int>  $out */
    private static function leftOut(array $out): string
    {
        return $out === [] ? '' : ' Left out, because they are far off: '.implode(', ', array_map(
            static fn (int $one): string => Duration::seconds($one)->label(),
            $out,
        )).'.';
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

    /** @param  list<int>  $seen  sorted; where it is empty the estimate stays as it is */
    private static function drawn(array $seen, Estimate $towards): Estimate
    {
        if ($seen === []) {
            return $towards;
        }
        $many = count($seen);
        $at = static fn (float $share, Duration $computed): int => (int) round(
            ($many * self::rank($seen, $share) + self::PULL * $computed->seconds) / ($many + self::PULL),
        );
        $likely = $at(0.5, $towards->likely);

        return Estimate::of(
            Duration::seconds(min($likely, $at(0.1, $towards->low))),
            Duration::seconds($likely),
            Duration::seconds(max($likely, $at(0.9, $towards->high))),
        );
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
