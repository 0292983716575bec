<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Quantity\InvalidQuantity;
use Cobblestone\Quantity\Moment;
use Cobblestone\Runbook\Decision;
use Cobblestone\Text\Counted;

/** Days to the end of support, and what the owner depends on against the new system's known gaps (rule A14). */
final class SupportEnds
{
    /** Days below which an end of support is said first. */
    private const SOON = 365;

    /**
     * @param  string|null  $today  YYYY-MM-DD; null where no days are to be counted
     */
    public static function of(SystemProfile $system, ?string $today): SupportEnd
    {
        $ends = $system->supportEnds ?? null;
        if ($ends === null) {
            return new SupportEnd($system->name, null, null, "{$system->name}: no end of support is on record.");
        }
        try {
            $days = $today === null ? null : Moment::of($today)->daysUntil(Moment::of($ends));
        } catch (InvalidQuantity) {
            $days = null;
        }
        $sentence = match (true) {
            $days === null => "{$system->name} is supported until {$ends}.",
            $days < 0 => "{$system->name} lost its support ".Counted::of(abs($days), 'day')." ago, on {$ends}.",
            $days < self::SOON => "{$system->name} is supported for ".Counted::of($days, 'more day').", until {$ends}.",
            default => "{$system->name} is supported until {$ends}, ".Counted::of($days, 'day').' from now.',
        };

        return new SupportEnd($system->name, $ends, $days, $sentence);
    }

    /**
     * @param  list<string>  $depends  programs and devices the owner cannot do without
     * @return list<Dependence>
     */
    public static function gaps(SystemProfile $system, array $depends): array
    {
        $gaps = [];
        foreach ($system->gaps as $gap) {
            $gaps[mb_strtolower($gap->what)] = $gap;
        }
        $found = [];
        foreach ($depends as $what) {
            $key = mb_strtolower(trim($what));
            $gap = $gaps[$key] ?? null;
            foreach ($gap === null ? $gaps : [] as $name => $candidate) {
                $gap = str_contains($key, (string) $name) ? $candidate : $gap;
            }
            $found[] = $gap === null
                ? new Dependence(
                    $what,
                    Dependence::NOT_ON_RECORD,
                    "Try it in {$system->name} or ask its maker before anything is erased.",
                )
                : new Dependence(
                    $what,
                    Dependence::BROKEN,
                    $gap->because.($gap->instead === null ? '' : " Instead: {$gap->instead}."),
                );
        }

        return $found;
    }

    /**
     * What the owner will miss, for their word.
     *
     * @param  list<Dependence>  $gaps
     * @return list<string>
     */
    public static function missing(array $gaps): array
    {
        return array_map(
            static fn (Dependence $gap): string => "{$gap->what}: {$gap->standing} ({$gap->why})",
            $gaps,
        );
    }

    /**
     * @param  list<Dependence>  $gaps
     * @param  list<SupportEnd>  $ends
     */
    public static function decision(array $gaps, array $ends): Decision
    {
        $broken = array_filter($gaps, static fn (Dependence $gap): bool => $gap->isBroken());

        return new Decision(
            'assess.support',
            'Support and what the owner depends on',
            $broken === []
                ? 'nothing known against it'
                : count($broken).' of what the owner depends on does not work',
            [
                ...array_map(static fn (SupportEnd $end): string => $end->sentence, $ends),
                ...array_map(
                    static fn (Dependence $gap): string => "{$gap->what}: {$gap->standing}. {$gap->why}",
                    $gaps,
                ),
            ],
            [],
            array_map(static fn (Dependence $gap): string => $gap->what, $gaps),
            'A14',
        );
    }
}
