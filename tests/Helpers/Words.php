<?php

use Cobblestone\Document\Fields;
use Cobblestone\Handover\HandoverSheet;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\PlannedJob;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

/**
 * @param  array<string, mixed>  $job
 * @param  list<Step>  $steps
 * @param  list<string>  $initial
 * @param  array<string, mixed>  $assessment
 */
function smallPlan(array $job, array $steps, array $initial = [], array $assessment = []): Plan
{
    return Demo::planned(
        $steps,
        $initial,
        assessment: $assessment,
        job: PlannedJob::read(Fields::of([
            'title' => 'Test',
            'goal' => 'clean-install',
            'machine' => 'Norrel Fairlead 13',
            'owner' => 'the lounge',
            'kind' => 'laptop',
            'system' => 'Tansy Desktop 7',
            'edition' => 'Dock',
            ...$job,
        ])),
    );
}

/**
 * @param  list<LogEntry>  $entries
 */
function toldSheet(Plan $plan, array $entries, int $now = 0): HandoverSheet
{
    return HandoverSheet::of(Progress::of($plan, $entries), $entries, 'UTC', $now);
}
