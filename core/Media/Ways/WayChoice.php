<?php

declare(strict_types=1);

namespace Cobblestone\Media\Ways;

use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Media\WriteMode;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Decision;

/** Which of the ways is taken, and why the others are not. */
final class WayChoice
{
    /** @param  list<Way>  $ways */
    public static function decide(array $ways, WayInput $of, Policy $policy): ?Decision
    {
        $possible = array_values(array_filter(
            $ways,
            static fn (Way $way): bool => $way->isPossible() && $way->buildable,
        ));
        if ($possible === []) {
            return null;
        }
        $school = $policy->school('scheme');
        $order = $of->driverFiles > 0 || ! $of->report->canBeRaw() ? [] : ['raw'];
        $order = [
            ...$order,
            ...($school === 'widest' ? ['copied-mbr', 'copied-gpt'] : ['copied-gpt', 'copied-mbr']),
            'raw',
            'copied-storage',
        ];
        $possible = self::inOrder($possible, $order);
        $chosen = $possible[0];
        $refused = [];
        foreach ($ways as $way) {
            if ($way !== $chosen) {
                $refused[$way->title] = $way->isPossible()
                    ? [$way->buildable ? self::whyNot($way, $chosen, $school) : $way->costs[0]]
                    : $way->against;
            }
        }

        return new Decision('media.way', 'How the stick is made', $chosen->title, [
            self::why($chosen, $of->report, $of->driverFiles),
        ], $refused, ['policy scheme '
            ."= {$school}",
            $of->driverFiles === 1 ? '1 driver file goes along' : "{$of->driverFiles} driver files go along"], 'M3');
    }

    /**
     * @param  list<Way>  $possible
     * @param  list<string>  $order
     * @return list<Way>
     */
    private static function inOrder(array $possible, array $order): array
    {
        usort(
            $possible,
            static fn (Way $a, Way $b): int => array_search($a->key, $order, true) <=> array_search(
                $b->key,
                $order,
                true,
            ),
        );

        return $possible;
    }

    private static function why(Way $way, ImageReport $report, int $drivers): string
    {
        return match (true) {
            $way->mode === WriteMode::Raw
                && $drivers === 0 => 'The image is meant to be written as it is, and nothing else has to go along.',
            $way->mode === WriteMode::Raw => 'Its files cannot be copied; the drivers go onto a second stick.',
            $report->canBeRaw() => 'The drivers have to go along, and copied files can be checked one by one.',
            default => 'The image is not meant to be written as it is.',
        };
    }

    private static function whyNot(Way $way, Way $chosen, string $school): string
    {
        return match (true) {
            $way->storage => 'Possible; the storage partition has to be wanted.',
            $way->mode === WriteMode::Raw => 'Possible, but it carries no drivers.',
            $chosen->mode === WriteMode::Raw => 'Possible, but the image brings its own start paths.',
            default => "Possible, but the policy for the scheme is \"{$school}\".",
        };
    }
}
