<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Assessment\Ownership;
use Cobblestone\Brief\Extra;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\AddOns;

/**
 * What comes from elsewhere, on a path whose kind has no plan for it: what can be undone is put onto a system that the
 * path finishes, and what is left out is said to be (rule A15).
 */
final class FromElsewhere
{
    /** @param  list<Extra>  $extras */
    public static function on(Contribution $part, array $extras, string $school): Contribution
    {
        if ($extras === [] || self::isPlanned($part)) {
            return $part;
        }
        $finishes = array_filter($part->steps, static fn (Step $one): bool => $one->bringsAbout(PathFact::UPDATED));
        $taken = array_values(array_filter(
            $extras,
            static fn (Extra $extra): bool => $finishes !== [] && $extra->undo !== '',
        ));
        $left = array_values(array_filter(
            $extras,
            static fn (Extra $extra): bool => ! in_array($extra, $taken, true),
        ));
        $record = Ownership::extras($taken, $school);

        return $part->and(new Contribution(
            [...$record->steps, ...AddOns::plan($taken, $school)->steps],
            $left === [] ? $record->decisions : [self::decision($record->steps === [] ? [] : $taken, $left, $finishes)],
            blockers: $record->blockers,
        ));
    }

    private static function isPlanned(Contribution $part): bool
    {
        $is = static fn (Decision|Blocker $one): bool => in_array(
            $one->id,
            [Ownership::EXTRAS, Ownership::NOT_ALLOWED],
            true,
        );

        return array_filter([...$part->decisions, ...$part->blockers], $is) !== [];
    }

    /**
     * @param  list<Extra>  $taken
     * @param  list<Extra>  $left
     * @param  array<int, Step>  $finishes  what brings a finished system about
     */
    private static function decision(array $taken, array $left, array $finishes): Decision
    {
        $names = static fn (array $extras): string => implode(', ', array_column($extras, 'what'));
        $because = $finishes === []
            ? 'Nothing is added on this path: a job that sets a system up takes it.'
            : 'Nothing undoes it, and this path puts on what the maker made: only what can be undone is added.';

        return new Decision(
            Ownership::EXTRAS,
            'From elsewhere',
            ($taken === [] ? '' : "allowed, with a record: {$names($taken)}; ")."left out: {$names($left)}",
            [$because],
            [],
            array_values(array_filter(array_column($left, 'source'))),
            'A15',
        );
    }
}
