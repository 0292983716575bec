<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

/** @param  list<array<string, string>>  $released */
function pathWith(string $goal, array $released): Plan
{
    return JobPlanner::plan(Brief::fromArray([
        'brief' => 1, 'title' => 'released', 'goal' => $goal, 'system' => 'skerry-rolling', 'image' => 'skerry-rolling',
        'machine' => ['model' => 'brackwater-capstan-t3', 'facts' => ['owner.keep' => 'nothing']],
        'released' => $released,
    ]), Demo::catalogue(), Policy::of());
}

function guard(string $id, string $step): array
{
    return ['id' => $id, 'what' => "{$id} is on again", 'why' => 'it stopped the tool', 'step' => $step];
}

/** @return array<string, Step> */
function byId(Plan $plan): array
{
    return array_column(array_map(fn (Step $step): array => [$step->id, $step], $plan->steps), 1, 0);
}

it('puts back what was released, after its stone and before the handover', function (string $goal, string $last) {
    $steps = byId(pathWith($goal, [guard('guard', 'media.write'), guard('rule', 'media.verify')]));
    $order = array_keys($steps);
    foreach (['guard' => 'media.write', 'rule' => 'media.verify'] as $id => $stone) {
        expect(array_map(fn (PutBack $one): string => $one->closedBy, $steps[$stone]->opens))->toBe(["put-back.{$id}"])
            ->and($steps["put-back.{$id}"]->after)->toBe([PathFact::putBack($id)])
            ->and(array_search("put-back.{$id}", $order, true))->toBeGreaterThan(array_search($stone, $order, true))
            ->and(array_search("put-back.{$id}", $order, true))->toBeLessThan(array_search($last, $order, true))
            ->and(array_map(fn (Gate $gate): string => $gate->id, $steps[$last]->gates))->toContain("put-back-{$id}");
    }
})->with([['clean-install', 'hand-over.give-back'], ['media-only', 'hand-over.shelve']]);

it('keeps the entry where its stone has left the path', function () {
    $plan = pathWith('clean-install', [guard('guard', 'no.such-stone')]);
    expect($plan->steps[0]->opens[0]->id ?? null)->toBe('guard')
        ->and(byId($plan))->toHaveKey('put-back.guard');
});

it('adds nothing where nothing was released', function () {
    expect(array_filter(array_keys(byId(pathWith('media-only', []))), fn ($id) => str_starts_with($id, 'put-back')))
        ->toBe([]);
});
