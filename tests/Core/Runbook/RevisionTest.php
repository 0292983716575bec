<?php

use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\PlanDifference;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Revision;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

$ids = fn (Plan $plan) => array_map(fn (Step $step) => $step->id, $plan->steps);

it('takes the new plan whole while nothing is finished', function () use ($ids) {
    expect($ids(Revision::keeping(Demo::planOf([Demo::step('a')]), Demo::planOf([Demo::step('b')]), [])))->toBe([
        'b',
    ]);
});

it('keeps finished stones first and as they were done', function () use ($ids) {
    $old = Demo::planOf([Demo::step('a', [], ['x'], title: 'As done'), Demo::step('b', ['x'])]);
    $new = Demo::planOf([
        Demo::step('n', [], ['y']),
        Demo::step('a', ['y'], ['x'], title: 'As planned now'),
        Demo::step('b', ['x', 'y']),
    ]);
    $plan = Revision::keeping($old, $new, ['a']);
    expect($ids($plan))
        ->toBe(['a', 'n', 'b'])
        ->and($plan->steps[0]->title)
        ->toBe('As done');
});

it('keeps a finished stone that the new plan has no more, with what it brought about', function () use ($ids) {
    $plan = Revision::keeping(Demo::planOf([Demo::step('gone', [], ['x'])]), Demo::planOf([Demo::step('n', [])]), [
        'gone',
    ]);
    expect($ids($plan))->toBe(['gone', 'n']);
});

it('takes away what a finished stone took away', function () use ($ids) {
    $old = Demo::planOf([
        Demo::step('open', [], ['lid.off']),
        Demo::step('close', ['lid.off'], ['lid.on'], removes: ['lid.off']),
    ]);
    $new = Demo::planOf([
        Demo::step('look', ['lid.off'], ['seen']),
        Demo::step('open-again', ['lid.on'], ['lid.off']),
    ]);
    expect($ids(Revision::keeping($old, $new, ['open', 'close'])))->toBe(['open', 'close', 'open-again', 'look']);
});

it('finds a path on from every stone of every kind of job', function (string $job) use ($ids) {
    $plan = Demo::plan($job);
    for ($laid = 0; $laid <= count($plan->steps); $laid++) {
        $finished = array_slice($ids($plan), 0, $laid);
        expect($ids(Revision::keeping($plan, $plan, $finished)))->toBe($ids($plan));
    }
})->with(Demo::BRIEFS);

it('does not lose what has still to be put back', function () use ($ids) {
    $old = Demo::planOf([
        Demo::step('weaken', [], ['w'], opens: [new PutBack('l', 'Lock', 'x', 'restore')]),
        Demo::step('restore', ['w'], ['r']),
    ]);
    expect($ids(Revision::keeping($old, Demo::planOf([Demo::step('n')]), ['weaken'])))
        ->toBe(['weaken', 'n', 'restore'])
        ->and($ids(Revision::keeping($old, Demo::planOf([Demo::step('n')]), ['weaken', 'restore'])))
        ->toBe(['weaken', 'restore', 'n'])
        ->and(
            $ids(
                Revision::keeping($old, Demo::planOf([Demo::step('n'), Demo::step('restore', [], ['r'])]), [
                    'weaken',
                ]),
            ),
        )
        ->toBe(['weaken', 'n', 'restore']);
});

it('says what was added, dropped, changed and decided otherwise', function () {
    $decide = fn (string $chosen) => new Decision('d', 'Stick', $chosen, [], [], [], 'M7');
    $plan = fn (array $steps, array $decisions) => Demo::planned($steps, [], $decisions);
    $old = $plan(
        [Demo::step('a', title: 'A'), Demo::step('b', title: 'B'), Demo::step('c', title: 'C'), Demo::step('s')],
        [$decide('small')],
    );
    $new = $plan(
        [
            Demo::step(
                'a',
                ['x'],
                title: 'A2',
                time: Estimate::minutes(1, 5, 9),
                presence: Presence::WalkAway,
                instructions: ['other'],
            ),
            Demo::step('n', title: 'N'),
            Demo::step('b', title: 'B'),
            Demo::step('s'),
        ],
        [$decide('large'), new Decision('e', 'Boot', 'menu', [], [], [], 'F1')],
    );
    $difference = PlanDifference::between($old, $new);
    expect($difference->added)
        ->toBe(['N'])
        ->and($difference->dropped)
        ->toBe(['C'])
        ->and($difference->changed)
        ->toBe([
            [
                'title' => 'A2',
                'what' => ['was called "A"', '2 min → 5 min', 'hands → walk away', 'what to do', 'what it waits for'],
            ],
        ])
        ->and($difference->decided)
        ->toBe(['Stick: small → large', 'Boot: menu'])
        ->and($difference->isEmpty())
        ->toBeFalse()
        ->and(PlanDifference::between($old, $old)->isEmpty())
        ->toBeTrue()
        ->and(array_keys($difference->toArray()))
        ->toBe(['added', 'dropped', 'changed', 'decided', 'opened', 'shut']);
});

it('brings a plan through JSON and back without a loss', function (string $job) {
    $plan = Demo::plan($job);
    $json = json_encode($plan->toArray(), JSON_THROW_ON_ERROR);
    expect(json_encode(Plan::fromArray(json_decode($json, true))->toArray()))->toBe($json);
})->with(Demo::BRIEFS);

it('reads a path that was computed before steps said what they open with', function (string $job) {
    $plan = Demo::plan($job);
    $before = $plan->toArray();
    foreach ($before['steps'] as &$step) {
        unset($step['opens_with'], $step['works_on']);
    }
    $read = Plan::fromArray(json_decode((string) json_encode($before), true));
    foreach (['boot.start', 'firmware.snapshot', 'boot.recovery'] as $id) {
        expect($read->step($id)?->opensWith)->toBe($plan->step($id)?->opensWith);
    }
})->with(Demo::BRIEFS);
