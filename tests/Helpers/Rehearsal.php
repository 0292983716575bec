<?php

use Cobblestone\Boot\BootScene;
use Cobblestone\Boot\PowerOn;
use Cobblestone\Boot\Rehearsal;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/** @return list<PowerOn> the plan's power-ons, those into the setup left out */
function rehearsed(Plan $plan, ?callable $change = null): array
{
    $steps = $change === null ? $plan->steps : array_map($change, $plan->steps);

    return array_values(array_filter(
        Rehearsal::run(BootScene::fromArray($plan->assessment->all()['boot']), $steps),
        fn (PowerOn $start): bool => $start->wants !== Wants::Setup,
    ));
}

/** Leaves one kind of change out of a step, as if a technician had forgotten it. */
function forgetting(string $what): callable
{
    return fn (Step $step): Step => $step->booting(array_values(array_filter(
        $step->boots,
        fn (BootEvent $event): bool => ! isset($event->changes[$what]),
    )));
}
