<?php

use Cobblestone\Runbook\Plan;

function decision(Plan $plan, string $id): Cobblestone\Runbook\Decision
{
    return array_values(array_filter($plan->decisions, fn ($decision) => $decision->id === $id))[0];
}
