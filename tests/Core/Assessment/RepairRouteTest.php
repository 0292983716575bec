<?php

use Cobblestone\Runbook\Plan;
use Tests\Support\Demo;

$repair = fn (array $facts, array $more = []): Plan => Demo::plan('repair', [
    'machine' => ['facts' => ['drive.encryption' => 'none', ...$facts]],
    ...$more,
]);

it('walks the recommended rung and asks at the end whether it helped', function () use ($repair) {
    $plan = $repair([
        'symptom.powers_up' => 'yes',
        'symptom.picture' => 'yes',
        'symptom.starts' => 'safe-mode',
        'symptom.since' => 'driver',
        'channel.other' => 'no',
        'recovery.environment' => 'no',
    ]);
    expect($plan->verdict()->value)->toBe('go')
        ->and(array_column($plan->step('route.take-back-0')->gates, 'id'))->toBe(['backup'])
        ->and($plan->step('route.result')?->before)->toBe(['route.take-back-0'])
        ->and($plan->step('protect.recovery-key'))->toBeNull();
});

it('holds, on the gentlest way that is still possible, until the answer is there', function () {
    $plan = Demo::plan('repair');
    expect($plan->verdict()->value)->toBe('hold')
        ->and($plan->questions[0]->fact)->toBe('recovery.environment')
        ->and(array_column($plan->step('route.startup-repair-0')->gates, 'fact'))
        ->toBe(['backup.settled', 'answered.recovery.environment'])
        ->and($plan->step('protect.recovery-key'))->not->toBeNull()
        ->and($plan->step('protect.shut-down'))->toBeNull();
});

it('gates a way that loses programs behind the backup, and gives the harsher kinds of job their '
    .'name', function () use ($repair) {
        $all = [
            'symptom.powers_up' => 'yes',
            'symptom.picture' => 'yes',
            'symptom.starts' => 'recovery',
            'symptom.since' => 'nothing',
            'recovery.environment' => 'no',
            'restore.point' => 'no',
            'network.works' => 'no',
            'image.matches' => 'no',
            'factory.image' => 'no',
            'wish.original' => 'no',
        ];
        $reset = $repair([...$all, 'tried' => 'file-system, system-files, boot-files']);
        expect($reset->step('route.reset-0')?->gates[0]->fact)->toBe('backup.settled');
        $clean = $repair([...$all, 'tried' => 'file-system, system-files, boot-files, reset']);
        expect($clean->verdict()->value)->toBe('stop')
            ->and($clean->blockers[0]->door->value)->toBe('clean-install');
    });

it('reads drive and memory from what was tested', function () use ($repair) {
    $known = [
        'symptom.powers_up' => 'yes',
        'symptom.picture' => 'yes',
        'symptom.starts' => 'no',
        'symptom.since' => 'nothing',
        'recovery.environment' => 'no',
        'restore.point' => 'no',
    ];
    $brief = Demo::brief('repair');
    $failing = Demo::plan('repair', [
        'machine' => [
            ...$brief['machine'],
            'facts' => $known,
            'readings' => [
                [
                    'tool' => 'smartctl',
                    'health' => [
                        [
                            'serial' => 'SM3-2207-7730B9',
                            'model' => 'NV',
                            'kind' => 'nvme',
                            'figures' => ['media_errors' => 2],
                        ],
                    ],
                ],
            ],
        ],
    ]);
    expect($failing->assessment->all()['route']['recommended'])->toBe('new-drive')
        ->and($failing->step('protect.back-up')?->title)->toBe('Rescue the data')
        ->and($failing->step('protect.back-up')?->instructions[0])->toContain('live system');
    $memory = $repair($known, [
        'memory' => [
            'modules' => ['M1' => 8],
            'slots' => ['A', 'B'],
            'tests' => [['placed' => ['M1' => 'A'], 'profile' => 'standard', 'passes' => 2, 'outcome' => 'errors']],
        ],
    ]);
    expect($memory->assessment->all()['route']['recommended'])->toBe('hardware')
        ->and($memory->step('route.hardware-0')?->gates)->toBe([])
        ->and($memory->step('protect.back-up'))->toBeNull();
});

it('compares the installed build with the first that repairs itself', function (
    string $build,
    string $standing,
) use ($repair) {
    $plan = $repair([
        'symptom.powers_up' => 'yes',
        'symptom.picture' => 'yes',
        'symptom.starts' => 'normally',
        'symptom.since' => 'nothing',
        'restore.point' => 'no',
        'network.works' => 'yes',
        'tried' => 'system-files',
        'present.build' => $build,
    ]);
    expect(array_column($plan->assessment->all()['route']['ladder'], 'standing', 'id')['repair-install-built-in'])
        ->toBe($standing);
})->with([['7.1', 'recommended'], ['7.10', 'recommended'], ['7.0', 'out']]);

it('claims no sign of sound hardware that nobody has looked for', function () {
    $repair = Demo::brief('repair');
    foreach (['symptom.powers_up', 'symptom.picture'] as $fact) {
        unset($repair['machine']['facts'][$fact]);
    }
    $plan = Cobblestone\Job\JobPlanner::plan(
        Cobblestone\Brief\Brief::fromArray($repair),
        Demo::catalogue(),
        Cobblestone\Policy\Policy::of(),
    );
    $rows = array_column($plan->assessment->all()['route']['ladder'], 'why', 'id');
    expect($rows['hardware'])->toBe(['Nothing known so far points at the hardware.']);
});
