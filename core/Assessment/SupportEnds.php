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
     * @return array{name: string, ends: string|null, days: int|null, sentence: string}
     */
    public static function of(SystemProfile $system, ?string $today): array
    {
        $ends = $system->supportEnds ?? null;
        if ($ends === null) {
            return [
                'name' => $system->name,
                'ends' => null,
                'days' => null,
                'sentence' => "{$system->name}: no end of support is on record.",
            ];
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

        return ['name' => $system->name, 'ends' => $ends, 'days' => $days, 'sentence' => $sentence];
    }

    /**
     * @param  list<string>  $depends  programs and devices the owner cannot do without
     * @return list<array{what: string, standing: string, why: string}>
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
            $found[] =
                $gap === null
                    ? [
                        'what' => $what,
                        'standing' => 'not on record',
                        'why' => "Try it in {$system->name} or ask its maker before anything is erased.",
                    ]
                    : [
                        'what' => $what,
                        'standing' => 'does not work',
                        'why' => $gap->because.($gap->instead === null ? '' : " Instead: {$gap->instead}."),
                    ];
        }

        return $found;
    }

    /**
     * What the owner will miss, for their word.
     *
     * @param  list<array{what: string, standing: string, why: string}>  $gaps
     * @return list<string>
     */
    public static function missing(array $gaps): array
    {
        $missed = array_filter($gaps, static fn (array $gap): bool => $gap['standing'] !== 'works');

        return array_values(
            array_map(
                static fn (array $gap): string => "{$gap['what']}: {$gap['standing']}".
                    ($gap['why'] === '' ? '' : " ({$gap['why']})"),
                $missed,
            ),
        );
    }

    /**
     * @param  list<array{what: string, standing: string, why: string}>  $gaps
     * @param  list<array{name: string, ends: string|null, days: int|null, sentence: string}>  $ends
     */
    public static function decision(array $gaps, array $ends): Decision
    {
        $broken = array_filter($gaps, static fn (array $gap): bool => $gap['standing'] === 'does not work');

        return new Decision(
            'assess.support',
            'Support and what the owner depends on',
            $broken === []
                ? 'nothing known against it'
                : count($broken).' of what the owner depends on does not work',
            [
                ...array_column($ends, 'sentence'),
                ...array_map(
                    static fn (array $gap): string => "{$gap['what']}: {$gap['standing']}. {$gap['why']}",
                    $gaps,
                ),
            ],
            [],
            array_map(static fn (array $gap): string => $gap['what'], $gaps),
            'A14',
        );
    }
}
