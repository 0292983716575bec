<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\GateKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Step;
use Cobblestone\Text\Lowered;

/** A failure that a standard predicts holds its step back until it is settled, or overruled in writing (rule B). */
final class RehearsalGates
{
    public const PREFIX = 'rehearsal-';

    /**
     * @param  list<Step>  $steps
     * @param  list<PowerOn>  $starts
     * @return list<Step>
     */
    public static function on(array $steps, array $starts): array
    {
        $blocked = $told = [];
        foreach ($starts as $start) {
            // What fails again for the same reason is settled with the first one.
            if ($start->blocks() && ! isset($told[$start->sentence()])) {
                $told[$start->sentence()] = true;
                $blocked[$start->step] ??= $start;
            }
        }

        return array_map(static function (Step $step) use ($blocked): Step {
            $start = $blocked[$step->id] ?? null;

            return $start === null
                ? $step
                : $step->gated(
                    new Gate(
                        ($id = self::PREFIX."{$step->id}-{$start->prediction->outcome->value}"),
                        PathFact::answered($id),
                        'The rehearsal says: '.Lowered::of($start->sentence()),
                        '',
                        ['technician', 'lead'],
                        kind: GateKind::Hold,
                        door: Door::page(
                            'rehearsal',
                            'See the rehearsal: its cheapest way out changes the path and opens this.',
                        ),
                        rule: 'B',
                    ),
                );
        }, $steps);
    }
}
