<?php

use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Holds;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\OpensBy;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Shut;
use Cobblestone\Runbook\Walk;
use Cobblestone\Runbook\WalkThrough;
use Tests\Support\Demo;
use Tests\Support\RandomBrief;

/** Stones that change nothing; every other one says what it does. */
const HARMLESS = [
    'intake.take-in', 'identify.look', 'protect.owner-word', 'protect.check-backup', 'protect.detach-backup',
    'protect.shut-down', 'protect.recovery-key',
    'route.bypass', 'route.extras', 'gather.lay-out', 'image.check', 'media.identify', 'media.verify', 'media.helper',
    'drivers.fetch', 'drivers.stick-in', 'drivers.audit', 'drivers.prove-card', 'firmware.charge',
    'firmware.supply', 'firmware.way-back', 'firmware.fetch', 'firmware.snapshot', 'target.find', 'protect.detach-all',
    'first-boot.new-key', 'proof.readings',
    'put-back.sign', 'put-back.old-drive', 'put-back.guard', 'route.result', 'try-live.look', 'collect.bring',
    'files.count-home', 'hand-over.answers',
];

/** @return list<string> stones that do something and are said to do nothing, or the other way round */
function saidWrong(Plan $plan): array
{
    $wrong = [];
    foreach ($plan->steps as $step) {
        $harmless = in_array($step->id, HARMLESS, true)
            || str_starts_with($step->id, 'protect.key-')
            || str_starts_with($step->id, 'install.data');
        if (($step->acts === []) !== $harmless || ($step->isOneWay() && $step->acts === [])) {
            $wrong[] = "{$step->id} does not say what it does";
        }
    }

    return $wrong;
}

/** @return list<string> stones that are laid though a blocker covers them, or otherwise than the plan says */
function laidWrong(Plan $plan): array
{
    $wrong = [];
    $shut = array_column($plan->toArray()['steps'], 'shut_by', 'id');
    $anyLaid = array_column(WalkThrough::of($plan), 'laid', 'id');
    foreach ($plan->steps as $step) {
        $covered = array_filter($plan->blockers, fn (Blocker $blocker) => $blocker->covers($step)) !== [];
        if (($covered && $anyLaid[$step->id]) || $anyLaid[$step->id] !== ($shut[$step->id] === [])) {
            $wrong[] = "{$step->id} is laid otherwise than its plan says";
        }
    }
    $last = $plan->steps[count($plan->steps) - 1];

    return $anyLaid[$last->id] === ($plan->verdict()->value === 'go') ? $wrong : [...$wrong, 'the handover'];
}

/** @return list<string> stones that one more blocker opens */
function openedByBlocker(Plan $plan, int $seed): array
{
    mt_srand($seed);
    $acts = Act::cases();
    shuffle($acts);
    $blocker = Blocker::narrow('by-chance', 'By chance.', 'K1', array_slice($acts, 0, mt_rand(1, 4)), Door::none('x'));
    $more = $plan->withSteps(Holds::on($plan->steps, [$blocker], []));
    $before = array_filter(array_column(WalkThrough::of($plan), 'laid', 'id'));
    $after = array_filter(array_column(WalkThrough::of($more), 'laid', 'id'));

    return array_map(
        static fn (string $id): string => "{$id} is opened by one more blocker",
        array_keys(array_diff_key($after, $before)),
    );
}

/** For every shut stone an act that opens it and who may, or that nothing does. */
function expectOpeners(Plan $plan, int $seed): void
{
    $progress = Progress::of($plan, []);
    foreach ($plan->steps as $step) {
        foreach ($progress->shut($step) as $shut) {
            if (str_starts_with($shut->id, 'answer-')) {
                expect($plan->question(substr($shut->id, 7)))->not->toBeNull("{$shut->id} of seed {$seed}");
            }
            expect($shut->door->by === OpensBy::Waiver && $shut->waivableBy === [])->toBeFalse();
            foreach ($shut->waivableBy as $role) {
                $gate = (new Walk($progress))->waive($step, $shut->id, $role, 'the owner', 'agreed');
                $waived = Progress::of($plan, [
                    new LogEntry(1, EntryKind::Waived, $step->id, 1, $role, [
                        'gate' => $gate->id,
                        'words' => $gate->title,
                    ]),
                ]);
                expect(array_map(fn (Shut $one) => $one->id, $waived->shut($step)))->not->toContain($shut->id);
            }
        }
    }
}

// A path is planned once, and looked at from every side: planning takes longer than all of them.
it('says of any job by chance what its stones do, and lays exactly what its plan says', function (int $from) {
    $wrong = [];
    for ($seed = $from; $seed < $from + 250; $seed++) {
        $plan = RandomBrief::plan($seed);
        if ($plan === null) {
            continue;
        }
        $at = $seed - $from;
        $found = [
            ...saidWrong($plan),
            ...$at % 3 === 0 ? laidWrong($plan) : [],
            ...$at % 10 === 1 ? openedByBlocker($plan, $seed) : [],
        ];
        $at % 6 === 2 && expectOpeners($plan, $seed);
        foreach ($found as $one) {
            $wrong[] = "{$one}, seed {$seed}";
        }
    }
    expect($wrong)->toBe([]);
})->with(range(0, 2750, 250))->group('properties');

beforeEach(function () {
    $this->look = Demo::step('look', [], ['seen']);
    $this->copy = Demo::step('copy', ['seen'], ['copied'], acts: [Act::CopyData]);
    $this->write = Demo::step('write', ['seen'], ['written'], acts: [Act::WriteFirmware]);
    $this->erase = Demo::step('erase', ['written'], ['erased'], acts: [Act::Erase]);
    $this->note = Demo::step('note', ['seen'], ['noted']);
    $this->end = Demo::step('end', ['erased', 'noted'], [PathFact::HANDED_OVER], acts: [Act::HandOver]);
    $this->steps = [$this->look, $this->copy, $this->write, $this->erase, $this->note, $this->end];
    $this->shutIn = fn (array $blockers, array $questions = []): array => array_map(
        fn (array $step): array => array_column($step['shut_by'], 'opens_by', 'id'),
        array_column(Demo::planOf(Holds::on($this->steps, $blockers, $questions))->toArray()['steps'], null, 'id'),
    );
});

it('lets no dying drive, bad memory or under-led card be written, erased or handed over', function (
    string $brief,
    array $changes,
    array $steps,
) {
    $walked = array_column(WalkThrough::of(Demo::plan($brief, $changes)), null, 'id');
    foreach ([...$steps, 'hand-over.give-back'] as $step) {
        expect($walked[$step]['laid'] ?? null)->toBeFalse($step);
    }
})->with(function () {
    $dying = [
        'readings' => [
            [
                'tool' => 'smartctl',
                'health' => [
                    [
                        'serial' => 'SM3-2207-88415D',
                        'model' => 'NV',
                        'kind' => 'nvme',
                        'figures' => ['media_errors' => 2],
                    ],
                ],
            ],
        ],
    ];
    $memory = [
        'modules' => ['M1' => 8],
        'slots' => ['A'],
        'tests' => [['placed' => ['M1' => 'A'], 'profile' => 'standard', 'passes' => 2, 'outcome' => 'errors']],
    ];

    return [
        'erase on a dying drive' => ['fairlead-13', ['machine' => $dying], ['target.erase', 'install.phase-0']],
        'install through bad memory' => ['fairlead-13', ['memory' => $memory], ['protect.back-up', 'target.erase']],
        'firmware through bad memory' => [
            'firmware-update',
            ['memory' => $memory],
            ['firmware.write-1.14', 'firmware.re-enter'],
        ],
        'card without leads' => [
            'card-swap',
            ['card' => ['leads' => []]],
            ['hardware.swap-card', 'hardware.close', 'drivers.remove-old'],
        ],
        'firmware without a reason' => ['firmware-update', ['update' => ['reason' => ' ']], ['firmware.write-1.14']],
        'managed machine' => [
            'fairlead-13',
            ['machine' => ['facts' => ['machine.managed' => 'yes']]],
            ['target.erase', 'media.write', 'firmware.set'],
        ],
    ];
});
