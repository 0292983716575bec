<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\PathFact;
use Tests\Support\Demo;

it('refuses a word that a rule would silently take for not known', function (
    string $fact,
    mixed $word,
    string $sentence,
) {
    expect(fn () => Demo::plan('fairlead-13', ['machine' => ['facts' => [$fact => $word]]]))
        ->toThrow(BriefFault::class, $sentence);
})->with([
    [
        'drive.encryption', 'chip-bound',
        'machine.facts.drive.encryption: "chip-bound" is not one of none, key-in-clear, chip, chip-and-pin, '
            .'passphrase and unknown.',
    ],
    ['drive.encryption', false, '"no" is not one of none'],
    ['encryption.binding', 'both', 'is not one of keys, measured and unknown.'],
    ['owner.keep', 'everything', 'is not one of some, nothing and unknown.'],
]);

it('takes "unknown" for what it says', function () {
    expect(
        Demo::plan('fairlead-13', ['machine' => ['facts' => ['drive.encryption' => 'unknown']]])->verdict()->value,
    )->not->toBe('stop');
});

it('gates nothing of a new build behind a backup that nobody makes', function () {
    $plan = JobPlanner::plan(
        Brief::fromArray([
            'brief' => 1,
            'title' => 'new',
            'goal' => 'first-power-on',
            'owner' => 'crew',
            'system' => 'tansy-desktop-7',
            'image' => 'tansy-desktop-7-dock',
            'machine' => ['kind' => 'desktop'],
        ]),
        Demo::catalogue(),
        Policy::of(),
    );
    $gates = array_merge(...array_map(fn ($step) => array_map(fn ($gate) => $gate->id, $step->gates), $plan->steps));
    expect($plan->step('firmware.set'))->not->toBeNull();
    expect($gates)->not->toContain('backup');
    expect($plan->assessment->all()['backup'])->toBe(['keep' => 'blank']);
    expect(array_map(fn ($question) => $question->fact, $plan->questions))->not->toContain('owner.keep');
});

it('has for every gate of every kind of job a step that opens it, or the fact already', function (string $job) {
    $plan = Demo::plan($job);
    $made = array_merge($plan->initial, ...array_map(fn ($step) => $step->after, $plan->steps));
    $shut = [];
    foreach ($plan->steps as $step) {
        foreach ($step->gates as $gate) {
            if (! in_array($gate->fact, $made, true) && ! PathFact::isAnswer($gate->fact)) {
                $shut[] = "{$step->id} waits for {$gate->fact}";
            }
        }
    }
    expect($shut)->toBe([]);
})->with(fn () => array_map(
    fn ($file) => basename($file, '.yaml'),
    glob(Demo::root().'/docs/guide/briefs/*.yaml') ?: [],
));

it('plans sockets of a swap for what is attached, and judges no size of a drive nobody has read', function () {
    $brief = Demo::brief('drive-swap');
    unset($brief['machine']['facts']['target.serial'], $brief['machine']['facts']['target.bytes']);
    $plan = fn (array $readings) => JobPlanner::plan(
        Brief::fromArray([...$brief, 'machine' => [...$brief['machine'], 'readings' => $readings]]),
        Demo::catalogue(),
        Policy::of(),
    );
    expect(array_column($plan([])->assessment->all()['requirements']['rows'], 'has', 'id')['drive'])->toBe('unknown');
    expect($plan([])->layouts->all()['target'])->toBeNull();
    expect(json_encode($plan([])->assessment->all()['ports']))->not->toContain('backup drive');
    // A failing drive is rescued before it comes out.
    expect(json_encode($plan($brief['machine']['readings'])->assessment->all()['ports']))->toContain('backup drive');
});

it('says of charging only what a portable can do', function () {
    $charges = fn (string $job): array => array_column(Demo::plan($job)->assessment->all()['ports'], 'charges');
    expect(array_unique($charges('capstan-t3')))->toBe([null]);
    expect($charges('fairlead-13'))->not->toContain(null);
});
