<?php

use Cobblestone\Runbook\OrderImpossible;
use Cobblestone\Runbook\Planner;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

/** @param  list<Step>  $steps */
function ids(array $steps): array
{
    return array_map(fn (Step $step) => $step->id, $steps);
}

it('lets facts decide the order and stages only break ties', function () {
    $steps = [
        Demo::step('last', ['b']),
        Demo::step('early', [], [], stage: Stage::Intake),
        Demo::step('second', ['a'], ['b'], stage: Stage::HandOver),
        Demo::step('first', [], ['a'], stage: Stage::HandOver),
    ];
    expect(ids(Planner::order($steps)))->toBe(['early', 'first', 'second', 'last']);
});

it('keeps the order of contribution within a stage', function () {
    expect(ids(Planner::order([Demo::step('c'), Demo::step('a'), Demo::step('b')])))->toBe(['c', 'a', 'b']);
});

it('waits for every step that brings a fact about', function () {
    expect(
        ids(Planner::order([Demo::step('use', ['x']), Demo::step('one', [], ['x']), Demo::step('two', [], ['x'])])),
    )->toBe(['one', 'two', 'use']);
});

it('puts a step that removes a fact after all that need or make it', function () {
    $steps = [
        Demo::step('back', [], [], removes: ['off'], stage: Stage::Intake),
        Demo::step('use', ['off']),
        Demo::step('off', [], ['off']),
    ];
    expect(ids(Planner::order($steps)))->toBe(['off', 'use', 'back']);
});

it('takes facts that hold from the start, or come from outside', function () {
    expect(ids(Planner::order([Demo::step('a', ['given', 'answered.outside'])], ['given'])))->toBe(['a']);
});

it('counts a gate\'s fact like any other', function () {
    $gated = Demo::step('gated', [], [], gates: [new Cobblestone\Runbook\Gate('g', 'proof', 'Proof', 'prove')]);
    expect(ids(Planner::order([$gated, Demo::step('prove', [], ['proof'])])))
        ->toBe(['prove', 'gated'])
        ->and($gated->required())
        ->toBe(['proof']);
    expect(fn () => Planner::order([$gated]))->toThrow(OrderImpossible::class, 'waits for "proof"');
});

it('names the step and the fact that nothing brings about', function () {
    try {
        Planner::order([Demo::step('a', ['missing'])]);
        $this->fail();
    } catch (OrderImpossible $e) {
        expect($e->getMessage())
            ->toContain('"a" waits for "missing"')
            ->and($e->steps)
            ->toBe(['a']);
    }
});

it('names the steps of a cycle in their order', function () {
    try {
        Planner::order([
            Demo::step('free'),
            Demo::step('a', ['c'], ['a']),
            Demo::step('b', ['a'], ['b']),
            Demo::step('c', ['b'], ['c']),
            Demo::step('after', ['a']),
        ]);
        $this->fail();
    } catch (OrderImpossible $e) {
        expect($e->steps)
            ->toHaveCount(4)
            ->and($e->steps[0])
            ->toBe($e->steps[3])
            ->and(array_diff(['a', 'b', 'c'], $e->steps))
            ->toBe([])
            ->and($e->getMessage())
            ->toContain('wait for each other');
    }
});

it('refuses two steps of one name', function () {
    Planner::order([Demo::step('a'), Demo::step('a')]);
})->throws(OrderImpossible::class, 'Two steps carry the identifier "a"');

it('orders thousands of random paths so that every fact holds in time, always the same way', function () {
    mt_srand(99);
    for ($round = 0; $round < 1500; $round++) {
        $steps = [];
        $count = mt_rand(1, 14);
        for ($i = 0; $i < $count; $i++) {
            $before = [];
            for ($n = mt_rand(0, 3); $n > 0 && $i > 0; $n--) {
                $before[] = 'f'.mt_rand(0, $i - 1);
            }
            $steps[] = Demo::step(
                "s{$i}",
                array_values(array_unique($before)),
                ["f{$i}"],
                stage: Stage::cases()[mt_rand(0, 20)],
            );
        }
        shuffle($steps);
        $ordered = Planner::order($steps);
        $held = [];
        foreach ($ordered as $step) {
            expect(array_diff($step->before, $held))->toBe([]);
            $held = [...$held, ...$step->after];
        }
        expect(ids($ordered))->toHaveCount($count)->and(ids(Planner::order($steps)))->toBe(ids($ordered));
    }
});
