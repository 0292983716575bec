<?php

use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\GateKind;
use Cobblestone\Runbook\Holds;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\OpensBy;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Refused;
use Cobblestone\Runbook\Shut;
use Cobblestone\Runbook\Walk;
use Cobblestone\Runbook\WalkThrough;
use Tests\Support\Demo;
use Tests\Support\RandomBrief;

/** Stones that change nothing; every other one says what it does. */
const HARMLESS = [
    'intake.take-in', 'identify.look', 'protect.owner-word', 'protect.check-backup', 'protect.detach-backup', 'protect.shut-down', 'protect.recovery-key',
    'route.bypass', 'route.extras', 'gather.lay-out', 'image.check', 'media.identify', 'media.verify', 'media.helper', 'drivers.fetch', 'drivers.audit', 'firmware.charge',
    'firmware.supply', 'firmware.way-back', 'firmware.fetch', 'firmware.snapshot', 'target.find', 'protect.detach-all', 'first-boot.new-key', 'proof.readings',
    'put-back.sign', 'put-back.old-drive', 'route.result', 'try-live.look',
];

/** @return list<array{0: int, 1: Plan}> */
function plansByChance(int $from, int $count): array
{
    $plans = [];
    for ($seed = $from; $seed < $from + $count; $seed++) {
        $plan = RandomBrief::plan($seed);
        if ($plan !== null) {
            $plans[] = [$seed, $plan];
        }
    }

    return $plans;
}

it('ends for no kind of job, image and machine in an exception, and says of every stone what it does', function (int $from) {
    foreach (plansByChance($from, 250) as [$seed, $plan]) {
        foreach ($plan->steps as $step) {
            $harmless = in_array($step->id, HARMLESS, true) || str_starts_with($step->id, 'protect.key-') || str_starts_with($step->id, 'install.data');
            expect($step->acts === [])->toBe($harmless, "{$step->id} of seed {$seed}")
                ->and($step->isOneWay() && $step->acts === [])->toBeFalse();
        }
    }
})->with(range(0, 2750, 250))->group('properties');

it('lays no stone that a blocker covers, and lays exactly what its plan says', function (int $from) {
    foreach (plansByChance($from, 100) as [$seed, $plan]) {
        $data = $plan->toArray();
        $shut = array_column($data['steps'], 'shut_by', 'id');
        $anyLaid = array_column(WalkThrough::of($plan), 'laid', 'id');
        foreach ($plan->steps as $step) {
            $covered = array_filter($plan->blockers, fn (Blocker $blocker) => $blocker->covers($step)) !== [];
            expect($covered && $anyLaid[$step->id])->toBeFalse("{$step->id} of seed {$seed}")
                ->and($anyLaid[$step->id])->toBe($shut[$step->id] === [], "{$step->id} of seed {$seed}");
        }
        $last = $plan->steps[count($plan->steps) - 1];
        expect($anyLaid[$last->id])->toBe($plan->verdict()->value === 'go', "handover of seed {$seed}");
    }
})->with(range(10_000, 10_900, 100))->group('properties');

it('never makes more layable with one more blocker', function (int $from) {
    foreach (plansByChance($from, 60) as [$seed, $plan]) {
        mt_srand($seed);
        $acts = Act::cases();
        shuffle($acts);
        $blocker = Blocker::narrow('by-chance', 'By chance.', 'K1', array_slice($acts, 0, mt_rand(1, 4)));
        $more = $plan->withSteps(Holds::on($plan->steps, [$blocker], []));
        $before = array_filter(array_column(WalkThrough::of($plan), 'laid', 'id'));
        $after = array_filter(array_column(WalkThrough::of($more), 'laid', 'id'));
        expect(array_diff_key($after, $before))->toBe([], "seed {$seed}");
    }
})->with(range(20_000, 20_240, 60))->group('properties');

it('names for every shut stone an act that opens it and who may, or says that nothing does', function (int $from) {
    foreach (plansByChance($from, 120) as [$seed, $plan]) {
        $progress = Progress::of($plan, []);
        foreach ($plan->steps as $step) {
            foreach ($progress->shut($step) as $shut) {
                if (str_starts_with($shut->id, 'answer-')) {
                    expect($plan->question(substr($shut->id, 7)))->not->toBeNull("{$shut->id} of seed {$seed}");
                }
                expect($shut->opens === OpensBy::Waiver && $shut->waivableBy === [])->toBeFalse();
                foreach ($shut->waivableBy as $role) {
                    $gate = (new Walk($progress))->waive($step, $shut->id, $role, 'the owner', 'agreed');
                    $waived = Progress::of($plan, [new LogEntry(1, EntryKind::Waived, $step->id, 1, $role, ['gate' => $gate->id, 'words' => $gate->title])]);
                    expect(array_map(fn (Shut $one) => $one->id, $waived->shut($step)))->not->toContain($shut->id);
                }
            }
        }
    }
})->with(range(30_000, 30_360, 120))->group('properties');

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

it('shuts with a stop everything that changes something, and not the copy', function () {
    expect(($this->shutIn)([Blocker::stop('x', 'No.', 'A2')]))->toBe([
        'look' => [], 'copy' => [], 'write' => ['stop-x' => 'answer'], 'erase' => ['stop-x' => 'answer', 'behind-write' => 'step'], 'note' => [],
        'end' => ['stop-x' => 'answer', 'behind-erase' => 'step', 'behind-write' => 'step'],
    ])->and(($this->shutIn)([Blocker::stop('x', 'No.', 'A2', besides: [Act::CopyData])])['copy'])->toBe(['stop-x' => 'answer']);
});

it('shuts with a narrower blocker what it names, what comes behind it, and the handover', function () {
    $shut = ($this->shutIn)([Blocker::narrow('x', 'No.', 'A5', [Act::Erase], opens: OpensBy::Reading)]);
    expect($shut['write'])->toBe([])->and($shut['erase'])->toBe(['stop-x' => 'reading'])->and(array_keys($shut['end']))->toBe(['stop-x', 'behind-erase']);
});

it('shuts with a holding question what needs its answer, and with another nothing', function () {
    $asked = new Question('which', 'Which?', ['a' => 'A'], 'what', 'I1', 5, [Act::Erase]);
    $told = new Question('name', 'Name?', [], 'a title', 'A1', 5);
    $shut = ($this->shutIn)([], [$asked, $told]);
    expect($shut['erase'])->toBe(['answer-which' => 'answer'])->and($shut['write'])->toBe([])->and($told->holds())->toBeFalse()
        ->and(Question::fromArray($asked->toArray()))->toEqual($asked);
});

it('stands at the first stone that is not laid, and never walks past a shut one', function () {
    $plan = Demo::planOf(Holds::on($this->steps, [Blocker::stop('x', 'The card is under-led.', 'H5')], []));
    $entry = fn (EntryKind $kind, string $step, int $id) => new LogEntry($id, $kind, $step, $id, 'technician');
    $progress = Progress::of($plan, [$entry(EntryKind::Done, 'look', 1), $entry(EntryKind::Done, 'copy', 2)]);
    expect($progress->current()?->id)->toBe('write')
        ->and(fn () => (new Walk($progress))->done($plan->step('write'), []))->toThrow(Refused::class, 'Stop: The card is under-led.')
        ->and(fn () => (new Walk($progress))->done($plan->step('end'), []))->toThrow(Refused::class, '"End" is shut');
    $away = Progress::of($plan, [$entry(EntryKind::Done, 'look', 1), $entry(EntryKind::WalkedAway, 'copy', 2)]);
    expect($away->current()?->id)->toBe('write');
});

it('hands nothing over while another stone is open', function () {
    $plan = Demo::planOf([$this->look, $this->note, Demo::step('end', ['seen'], [PathFact::HANDED_OVER])]);
    $done = fn (string ...$ids) => Progress::of($plan, array_map(fn ($id, $at) => new LogEntry($at, EntryKind::Done, $id, $at, 'technician'), $ids, range(1, count($ids))));
    expect(fn () => (new Walk($done('look')))->done($plan->step('end'), []))->toThrow(Refused::class, '"End" comes last: "Note" is still open.')
        ->and((new Walk($done('look', 'note')))->done($plan->step('end'), []))->toBe(['evidence' => []]);
});

it('waives a gate for the words it had, and no others', function () {
    $with = fn (string $reason) => Demo::planOf(Holds::on($this->steps, [Blocker::narrow('x', $reason, 'F5', [Act::WriteFirmware], waivableBy: ['lead'])], []));
    $waived = [new LogEntry(1, EntryKind::Waived, 'write', 1, 'lead', ['gate' => 'stop-x', 'words' => 'Short by 1 Wh.'])];
    expect(Progress::of($with('Short by 1 Wh.'), $waived)->shut($with('Short by 1 Wh.')->step('write')))->toBe([])
        ->and(Progress::of($with('Short by 90 Wh.'), $waived)->shut($with('Short by 90 Wh.')->step('write')))->not->toBe([]);
    expect(fn () => (new Walk(Progress::of(Demo::planOf(Holds::on($this->steps, [Blocker::stop('m', 'Managed.', 'A9', opens: OpensBy::Nothing)], [])), [])))->waive(
        Holds::on($this->steps, [Blocker::stop('m', 'Managed.', 'A9', opens: OpensBy::Nothing)], [])[2], 'stop-m', 'lead', 'me', 'x'))->toThrow(Refused::class, 'cannot be waived by anybody: Managed. Nothing opens it on this job.');
});

it('keeps blockers, gates and acts through a plan that was written out', function () {
    $plan = Demo::plan('card-swap', ['card' => ['leads' => []]]);
    expect($plan->verdict()->value)->toBe('stop')->and(Plan::fromArray((array) json_decode((string) json_encode($plan->toArray()), true))->toArray())->toEqual($plan->toArray());
    $old = Blocker::fromStored('It cannot work.');
    expect($old->isStop())->toBeTrue()->and($old->reason)->toBe('It cannot work.');
    expect(Gate::fromArray(['id' => 'a', 'fact' => 'f', 'title' => 't', 'opens_by' => '', 'waivable_by' => [], 'waives' => []])->kind)->toBe(GateKind::Answer);
});

it('lets no dying drive, bad memory or under-led card be written, erased or handed over', function (string $brief, array $changes, array $steps) {
    $walked = array_column(WalkThrough::of(Demo::plan($brief, $changes)), null, 'id');
    foreach ([...$steps, 'hand-over.give-back'] as $step) {
        expect($walked[$step]['laid'] ?? null)->toBeFalse($step);
    }
})->with(function () {
    $dying = ['readings' => [['tool' => 'smartctl', 'health' => [['serial' => 'SM3-2207-88415D', 'model' => 'NV', 'kind' => 'nvme', 'figures' => ['media_errors' => 2]]]]]];
    $memory = ['modules' => ['M1' => 8], 'slots' => ['A'], 'tests' => [['placed' => ['M1' => 'A'], 'profile' => 'standard', 'passes' => 2, 'outcome' => 'errors']]];

    return [
        'erase on a dying drive' => ['fairlead-13', ['machine' => $dying], ['target.erase', 'install.phase-0']],
        'install through bad memory' => ['fairlead-13', ['memory' => $memory], ['protect.back-up', 'target.erase']],
        'firmware through bad memory' => ['firmware-update', ['memory' => $memory], ['firmware.write-1.14', 'firmware.re-enter']],
        'card without leads' => ['card-swap', ['card' => ['leads' => []]], ['hardware.swap-card', 'hardware.close', 'drivers.remove-old']],
        'firmware without a reason' => ['firmware-update', ['update' => ['reason' => ' ']], ['firmware.write-1.14']],
        'managed machine' => ['fairlead-13', ['machine' => ['facts' => ['machine.managed' => 'yes']]], ['target.erase', 'media.write', 'firmware.set']],
    ];
});
