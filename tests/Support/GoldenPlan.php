<?php

namespace Tests\Support;

use Cobblestone\Runbook\Plan;

/**
 * A path in the parts that somebody reads: its order, the stones of each stage, what is asked and decided, and what was
 * found, matter by matter. What only repeats the brief, the catalogue or the policy is left out: the facts, what the
 * plan rests on, and the machine as the rehearsal starts from it (its power-ons are there).
 */
final class GoldenPlan
{
    private const ECHOES = ['boot', 'later_questions'];

    /** @return array<string, mixed> name of the part => what it holds */
    public static function parts(Plan $plan): array
    {
        $of = self::saying($plan->toArray());
        $parts = [
            'order' => array_map(
                static fn (array $step): string => "{$step['id']}: {$step['title']}, {$step['presence']}",
                $of['steps'],
            ),
            'asked' => array_intersect_key($of, array_flip(['verdict', 'blockers', 'questions', 'questions_later'])),
            'decisions' => $of['decisions'],
            'around' => array_intersect_key($of, array_flip(['gather', 'put_back', 'initial', 'notes', 'totals'])),
            'layouts' => $of['layouts'] ?? [],
        ];
        foreach ($of['steps'] as $step) {
            $parts["stones {$step['stage']}"][] = array_diff_key($step, ['stage' => 1]);
        }
        foreach (array_diff_key($of['assessment'], array_flip(self::ECHOES)) as $matter => $found) {
            $parts["found {$matter}"] = $found;
        }

        return array_filter($parts);
    }

    /** The same without what says nothing. */
    private static function saying(mixed $document): mixed
    {
        $document = is_object($document) ? (array) $document : $document;

        if (! is_array($document)) {
            return $document;
        }
        $says = static fn (mixed $one): bool => $one !== null && $one !== [];
        $said = array_filter(array_map(self::saying(...), $document), $says);

        return array_is_list($document) ? array_values($said) : $said;
    }
}
