<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\UnknownEntry;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Planner;
use Tests\Support\Demo;
use Tests\Support\GoldenPlan;

it('gives the golden plan', function (string $job) {
    holdsGolden("jobs/{$job}", GoldenPlan::parts(Demo::plan($job)));
})->with(Demo::ALL);

it('keeps every step\'s facts in order, and no one-way step before its gates', function (string $job) {
    $plan = Demo::plan($job);
    $open = array_values(
        array_filter(array_merge(...array_map(fn ($step) => $step->required(), $plan->steps)), PathFact::isAnswer(...)),
    );
    $held = $plan->initial;
    foreach ($plan->steps as $step) {
        expect(array_values(array_diff($step->required(), $held, $open)))->toBe([], $step->id);
        $held = array_diff([...$held, ...$step->after], $step->removes);
    }
    expect($held)
        ->toContain('job.handed-over')
        ->and(array_map(fn ($step) => $step->id, Planner::order($plan->steps, $plan->initial)))
        ->toBe(array_map(fn ($step) => $step->id, $plan->steps));
})->with(Demo::ALL);

it('asks at most three questions and two typed confirmations', function (string $job) {
    $plan = Demo::plan($job);
    expect(count($plan->questions))
        ->toBeLessThanOrEqual(3)
        ->and(count(array_filter($plan->steps, fn ($step) => $step->confirmation?->typed)))
        ->toBeLessThanOrEqual(2);
})->with(Demo::ALL);

it('makes the five jobs visibly different', function () {
    $shapes = array_map(
        fn (string $job) => implode(' ', array_map(fn ($step) => $step->id, Demo::plan($job)->steps)),
        Demo::BRIEFS,
    );
    expect(array_unique($shapes))
        ->toHaveCount(5)
        ->and(Demo::plan('unknown-laptop')->verdict()->value)
        ->toBe('hold')
        ->and(Demo::plan('fairlead-13')->verdict()->value)
        ->toBe('go');
});

it('asks the heaviest question first and says what each decides', function () {
    $questions = Demo::plan('unknown-laptop')->questions;
    expect(array_map(fn ($q) => $q->fact, $questions))->toBe(['owner.keep', 'target.reading', 'drive.encryption']);
    foreach ($questions as $question) {
        expect($question->decides)->not->toBe('')->and($question->rule)->toMatch('/^[A-Z]\d/');
    }
});

it('goes on with the next question once some are answered', function () {
    $plan = Demo::plan('unknown-laptop', ['machine' => ['facts' => ['owner.keep' => 'nothing']]]);
    expect(array_map(fn ($q) => $q->fact, $plan->questions))
        ->toBe(['target.reading', 'image.kind', 'network.driver'])
        ->and($plan->step('protect.back-up'))
        ->toBeNull();
});

it('gives every decision a choice, a reason and a rule', function (string $job) {
    foreach (Demo::plan($job)->decisions as $decision) {
        expect($decision->chosen)
            ->not->toBe('')
            ->and($decision->reasons)
            ->not->toBe([])
            ->and($decision->rule)
            ->toMatch('/^[A-Z]\d/');
    }
    foreach (Demo::plan($job)->steps as $step) {
        expect($step->because)->not->toBe([], $step->id)->and($step->instructions)->not->toBe([], $step->id);
    }
})->with(Demo::ALL);

it('plans the same brief the same way twice', function (string $job) {
    expect(Demo::plan($job)->toArray())->toEqual(Demo::plan($job)->toArray());
})->with(Demo::BRIEFS);

it('names the field of a brief that cannot be used', function (array $change, string $field, string $sentence) {
    try {
        JobPlanner::plan(
            Brief::fromArray([...Demo::brief('fairlead-13'), ...$change]),
            Demo::catalogue(),
            Policy::of(),
        );
        $this->fail('nothing was refused');
    } catch (BriefFault|UnknownEntry $e) {
        expect($e->field)->toBe($field)->and($e->getMessage())->toContain($sentence);
    }
})->with([
    [['brief' => 2], 'brief', 'brief: 1'],
    [['title' => ''], 'title', 'a few words'],
    [['title' => 5], 'title', 'a few words'],
    [['machine' => 'x'], 'machine', 'a block'],
    [['machine' => []], 'machine', 'either'],
    [['machine' => ['model' => 'a', 'kind' => 'laptop']], 'machine', 'either'],
    [['machine' => ['kind' => 'spaceship']], 'machine.kind', 'choose one of desktop'],
    [['machine' => ['model' => 'norrel-fairlead-31']], 'machine.model', 'Did you mean "norrel-fairlead-13"?'],
    [['machine' => ['model' => 'zzzzzzzzzz']], 'machine.model', 'It holds: '],
    [['system' => 'tansy'], 'system', 'no system "tansy"'],
    [['system' => null], 'system', 'the system has to be named'],
    [['image' => null], 'image', 'an image has to be chosen'],
    [['goal' => 'card-swap'], 'card', 'name the card'],
    [['memory' => ['modules' => ['M1' => 8, 'M2' => 8], 'slots' => ['A']]], 'memory', 'at least as many slots'],
    [['system' => ['name' => ' ']], 'system.name', 'at least a name'],
    [['image' => 5], 'image', 'identifier'],
    [['image' => ['name' => 'x', 'bytes' => 0]], 'image.bytes', 'above 0'],
    [['image' => ['name' => '', 'bytes' => 5]], 'image.name', 'file name'],
    [['sticks' => ['nope']], 'sticks', 'no stick "nope"'],
    [['policy' => ['scheme' => 'none']], 'policy.scheme', 'match, widest, modern'],
    [['policy' => ['colour' => 'red']], 'policy.colour', 'no such school'],
    [['goal' => 'polish'], 'goal', 'clean-install, media-only'],
    [['system' => 5], 'system', 'identifier'],
    [['machine' => ['model' => 'norrel-fairlead-13', 'lsblk' => 'oops']], 'machine.lsblk', 'Line 1 is not JSON'],
    [['machine' => ['model' => 'norrel-fairlead-13', 'facts' => ['a' => ['b']]]], 'machine.facts.a', 'single value'],
    [['catalogue' => 'none'], 'machine.model', 'holds no machine at all'],
    [['catalogue' => 'none', 'machine' => ['kind' => 'laptop']], 'system', 'holds no system at all'],
]);

it('reads a bare on or off of YAML as the word', function () {
    $plan = Demo::plan('pocket-lantern', ['machine' => ['facts' => ['firmware.secure_boot' => true, 'x' => true]]]);
    expect($plan->fact('firmware.secure_boot')?->told('value'))->toBe('on')
        ->and($plan->fact('x')?->told('value'))->toBeTrue()
        ->and($plan->fact('y'))->toBeNull();
});

it('shows where a reading and the catalogue disagree', function () {
    expect(implode(' ', Demo::plan('fairlead-13', ['machine' => ['facts' => ['cores' => 6]]])->notes))->toContain(
        'cores: bench lead at the machine says 6, catalogue, Fairlead 13, as of 2026-11-02 said 8',
    );
});
