<?php

declare(strict_types=1);

namespace Cobblestone\Handover;

use Cobblestone\Document\Fields;
use Cobblestone\Runbook\FindingVerdict;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\Step;

/** How many more readings a stone compared than the owner's sheet lists, and how they stood (rules T1, K4). */
final class AcceptedWords
{
    /** Fewer are no table that a line could stand for. */
    private const LEAST = 3;

    /** Empty where hardly more was compared than is listed. */
    public static function of(Step $step, ?LogEntry $laid): string
    {
        $verdicts = [];
        foreach ($laid?->parts('findings') ?? [] as $row => $finding) {
            if (! in_array((string) $row, $step->done->proof ?? [], true)) {
                $verdicts[] = Fields::of(is_array($finding) ? $finding : [])->optionalString('verdict') ?? '';
            }
        }
        if (count($verdicts) < self::LEAST) {
            return '';
        }
        $many = array_count_values($verdicts);
        $open = $many[FindingVerdict::NotRead->value] ?? 0;
        $differ = $many[FindingVerdict::Differs->value] ?? 0;
        $held = count($verdicts) - $open - $differ;

        return count($verdicts).' more readings compared: '.implode(', ', array_filter([
            $held === count($verdicts) ? 'all as expected' : "{$held} as expected",
            $differ === 0 ? '' : "{$differ} accepted as they are",
            $open === 0 ? '' : "{$open} not read",
        ]));
    }
}
