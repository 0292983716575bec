<?php

use Cobblestone\Bench\Bell;
use Cobblestone\Bench\JobSummary;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\GateKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\PutBack;
use Tests\Support\Demo;

beforeEach(function () {
    $this->plan = Demo::planOf([
        Demo::step('wait', [], ['w'], presence: Presence::WalkAway),
        Demo::step('work', [], ['x'], instructions: ['Turn it.'], opens: [new PutBack('p', 'P', '', 'end')]),
        Demo::step('end', ['w', 'x']),
    ]);
    $this->summary = fn (array ...$entries) => JobSummary::of(
        Progress::of(
            $this->plan,
            array_map(
                fn (array $e, int $i) => Demo::entry($i + 1, $e[0], $e[1], $e[2] ?? 0),
                $entries,
                array_keys($entries),
            ),
        ),
    );
    $this->ring = fn (int $now, array ...$summaries) => Bell::ring(
        array_map(
            fn (array $summary, int $i) => [
                'id' => $i + 1,
                'slot' => $i + 1,
                'title' => "Job {$i}",
                'summary' => $summary,
            ],
            $summaries,
            array_keys($summaries),
        ),
        $now,
    );
});

it('sums what is left and names what is next', function () {
    $fresh = ($this->summary)();
    expect($fresh['done'])
        ->toBe(0)
        ->and($fresh['total'])
        ->toBe(3)
        ->and($fresh['begun'])
        ->toBeFalse()
        ->and($fresh['hands_left'])
        ->toBe(4.0)
        ->and($fresh['walk_left'])
        ->toBe(2.0)
        ->and($fresh['current']['id'])
        ->toBe('wait')
        ->and($fresh['away'])
        ->toBe([])
        ->and($fresh['verdict'])
        ->toBe('go');
    $later = ($this->summary)([EntryKind::WalkedAway, 'wait', 50], [EntryKind::Done, 'work', 60]);
    expect($later['done'])
        ->toBe(1)
        ->and($later['begun'])
        ->toBeTrue()
        ->and($later['hands_left'])
        ->toBe(2.0)
        ->and($later['walk_left'])
        ->toBe(2.0)
        ->and($later['away'])
        ->toBe([['id' => 'wait', 'title' => 'Wait', 'started_at' => 50, 'likely' => 120, 'high' => 240]])
        ->and($later['current'])
        ->toBeNull()
        ->and($later['put_back'])
        ->toBe(1);
});

it('is silent for a job nobody has begun and for a wait that is long from over', function () {
    $plan = Demo::planOf([
        Demo::step(
            'wait',
            [],
            [],
            presence: Presence::WalkAway,
            time: Cobblestone\Quantity\Estimate::minutes(10, 20, 30),
        ),
    ]);
    $away = JobSummary::of(Progress::of($plan, [Demo::entry(1, EntryKind::WalkedAway, 'wait', 0)]));
    expect(($this->ring)(0, ($this->summary)()))
        ->toBe([])
        ->and(($this->ring)(1200 - Bell::SOON - 1, $away))
        ->toBe([])
        ->and(($this->ring)(1200 - Bell::SOON, $away))
        ->toHaveCount(1);
});

it('rings for a ready stone with its first instruction', function () {
    $items = ($this->ring)(9, ($this->summary)([EntryKind::WalkedAway, 'wait', 5]));
    expect($items)
        ->toHaveCount(2)
        ->and($items[0]['action'])
        ->toBe('Work: Turn it.')
        ->and($items[0]['due'])
        ->toBe(0)
        ->and($items[1]['action'])
        ->toBe('Wait ends')
        ->and($items[1]['due'])
        ->toBe(116);
});

it('says when a wait should be done and when it is too long', function (int $now, string $action, bool $overdue) {
    $items = ($this->ring)($now, ($this->summary)([EntryKind::WalkedAway, 'wait', 0], [EntryKind::Done, 'work', 1]));
    expect($items[0]['action'])
        ->toBe($action)
        ->and($items[0]['overdue'])
        ->toBe($overdue)
        ->and($items[0]['due'])
        ->toBe(120 - $now);
})->with([
    [119, 'Wait ends', false],
    [120, 'Wait should be done: look', false],
    [240, 'Wait should be done: look', false],
    [241, 'Wait takes longer than it should', true],
]);

it('is quiet about a stone in hand until it takes too long', function () {
    $running = ($this->summary)([EntryKind::Started, 'wait', 0]);
    expect(($this->ring)(240, $running))
        ->toBe([])
        ->and(($this->ring)(241, $running)[0]['action'])
        ->toBe('Wait takes longer than it should');
});

it('puts trouble first, then what is due soonest, then by slot', function () {
    $trouble = ($this->summary)([EntryKind::Problem, 'wait', 5]);
    $ready = ($this->summary)([EntryKind::Done, 'wait', 5]);
    $late = ($this->summary)([EntryKind::WalkedAway, 'wait', 0], [EntryKind::Done, 'work', 1]);
    expect(array_column(($this->ring)(200, $ready, $late, $ready, $trouble), 'job'))->toBe([4, 2, 1, 3]);
});

it('rings for a stone that is shut with the word and the reason, not with what to do', function () {
    $gate = new Gate('stop-hot', PathFact::cleared('hot'), 'It is too hot.', '', kind: GateKind::Stop);
    $plan = Demo::planOf([
        Demo::step('look', [], ['looked']),
        Demo::step('write', ['looked'], ['w'], instructions: ['Write it.'], gates: [$gate]),
        Demo::step('later', [], ['l']),
    ]);
    $standing = JobSummary::of(Progress::of($plan, [Demo::entry(1, EntryKind::Done, 'look', 5)]));
    $items = ($this->ring)(9, $standing);
    expect($standing['current']['id'])
        ->toBe('write')
        ->and($standing['current']['shut'][0]['word'])
        ->toBe('stop')
        ->and($items)
        ->toHaveCount(1)
        ->and($items[0]['step'])
        ->toBe('write')
        ->and($items[0]['action'])
        ->toBe('Write: stop, It is too hot.')
        ->and($items[0]['overdue'])
        ->toBeFalse();
});
