<?php

declare(strict_types=1);

use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\TimesSeen;
use Tests\Support\Demo;

function timed(string $id): Step
{
    return new Step(
        $id,
        Stage::Install,
        'A stone',
        Presence::WalkAway,
        Estimate::minutes(8, 14, 30),
        because: [new Reason('The stick sets the pace.', 'I5'), new Reason('Something else.', 'J4')],
    );
}

/**
 * @param  array<string, list<int>>  $seconds
 * @param  string  $stick  that all of them read from
 */
function seenTimes(array $seconds, string $stick = ''): TimesSeen
{
    return new TimesSeen(array_map(
        static fn (array $of): array => array_map(static fn (int $one): array => [$one, $stick], $of),
        $seconds,
    ));
}

/** @return array{int, int, int} seconds */
function timeOf(Step $step): array
{
    return [$step->time->low->seconds, $step->time->likely->seconds, $step->time->high->seconds];
}

it('draws the estimate towards what was seen, the more the oftener', function (array $seconds, array $expected) {
    $step = (seenTimes(['install.phase-0' => $seconds]))->over(timed('install.phase-0'));
    $many = count($seconds);
    expect(timeOf($step))->toBe($expected)
        ->and($step->time->basis)->toBe($many === 0 ? 'usual' : "learned from {$many}");
})->with([
    'nothing' => [[], [480, 840, 1800]],
    // (1 × 600 + 3 × 840) / 4, and so for the ends.
    'once' => [[600], [510, 780, 1500]],
    'as was worked out' => [[840, 840], [624, 840, 1416]],
    'three, as they came' => [[330, 300, 310], [390, 575, 1065]],
    'ten' => [range(600, 690, 10), [572, 686, 938]],
    'a hundred' => [array_fill(0, 100, 300), [305, 316, 344]],
]);

it('keeps least, likely and most in order whatever was seen', function () {
    for ($i = 0; $i < 300; $i++) {
        $seconds = array_map(fn (int $k): int => 60 + crc32("{$i} {$k}") % 6000, range(0, $i % 9));
        [$low, $likely, $high] = timeOf((seenTimes(['updates.system' => $seconds]))->over(timed('updates.system')));
        expect($low)->toBeLessThanOrEqual($likely)->and($likely)->toBeLessThanOrEqual($high);
    }
});

it('leaves out what is far off, and says so', function (array $seconds, array $out) {
    expect(TimesSeen::outliers($seconds))->toBe($out);
    if ($out !== []) {
        $step = (seenTimes(['updates.system' => $seconds]))->over(timed('updates.system'));
        expect($step->time->basis)->toBe('learned from '.(count($seconds) - count($out)))
            ->and($step->because[0]->text)->toContain('Left out, because they are far off: '.implode(
                ', ',
                array_map(fn (int $one) => Duration::seconds($one)->label(), $out),
            ).'.');
    }
})->with([
    [[600, 610, 620, 3600], []],
    [[600, 610, 620, 630, 3600], [3600]],
    [[600, 600, 600, 600, 600], []],
    // Within a twentieth of the middle nothing is told apart.
    [[600, 600, 600, 600, 680], []],
    [[600, 600, 600, 600, 691], [691]],
    [[300, 400, 500, 600, 700, 800], []],
]);

it('says how often and how long, and no longer what set the pace of the arithmetic', function () {
    $step = (seenTimes(['updates.system' => [600, 660, 720, 780, 840]]))->over(timed('updates.system'));
    expect(array_map(static fn (Reason $reason): string => $reason->text, $step->because))->toBe([
        'Done 5 times here on this model with this system: half of them took up to 12 min, worked out it would be '
            .'14 min; that counts as much as 3 times seen.',
        'Something else.',
    ]);
});

it('leaves alone whose time follows from something else', function (string $id) {
    $times = seenTimes([$id => [1, 1, 1, 1, 1, 1]]);
    expect(timeOf($times->over(timed($id))))->toBe([480, 840, 1800])->and(TimesSeen::learns(timed($id)))->toBeFalse();
})->with(['protect.back-up', 'media.write', 'install.pages', 'xinstall.phase-0', 'install.phase-0x']);

it('learns nothing from a clock that nobody watched', function (int $seconds, bool $tells) {
    expect(TimesSeen::tells(timed('install.phase-0'), $seconds))->toBe($tells)
        ->and(TimesSeen::tells(timed('media.write'), $seconds))->toBeFalse();
})->with([[159, false], [160, true], [840, true], [5400, true], [5401, false]]);

it('lays them over a path, and over nothing else of it', function () {
    $seen = [301, 302, 303, 304, 305];
    $brief = Cobblestone\Brief\Brief::fromArray(Demo::brief('fairlead-13'));
    $plan = static fn (array $seconds) => Cobblestone\Job\JobPlanner::plan(
        $brief, Demo::catalogue(), Cobblestone\Policy\Policy::of(), seenTimes($seconds),
    );
    [$without, $with] = [$plan([]), $plan(['install.phase-1' => $seen, 'protect.back-up' => $seen])];
    foreach ($with->steps as $place => $step) {
        $was = $without->steps[$place];
        if ($step->id === 'install.phase-1') {
            expect($step->time->basis)->toBe('learned from 5')
                ->and($step->time->likely->seconds)
                ->toBe((int) round((5 * 303 + 3 * $was->time->likely->seconds) / 8));
        } else {
            expect(timeOf($step))->toBe(timeOf($was), $step->id)->and($step->time->basis)->toBe($was->time->basis);
        }
    }
});

it('says of every estimate what it rests on', function () {
    $bases = [];
    foreach (Demo::ALL as $brief) {
        foreach (Demo::plan($brief)->steps as $step) {
            $bases[$step->time->basis] = true;
            expect(Step::fromArray($step->toArray())->time->basis)->toBe($step->time->basis);
        }
    }
    ksort($bases);
    expect(array_keys($bases))->toBe(['catalogue', 'computed', 'usual']);
});

it('goes by what was seen with this stick first, then by other sticks, then by arithmetic', function () {
    $step = timed('install.phase-0');
    $times = new TimesSeen(['install.phase-0' => [
        [500, 'Tern 64'], [510, 'Tern 64'], [520, 'Tern 64'], [1200, 'Gull 32'],
    ]]);
    $said = static fn (?string $stick): array => [
        $times->over($step, $stick)->time->likely->seconds,
        $times->over($step, $stick)->time->basis,
    ];
    // One of another: (1200 + 3 × 840) / 4 = 930; three of its own: (3 × 510 + 3 × 930) / 6.
    expect($said('Tern 64'))->toBe([720, 'learned from 4'])
        // Three of another: (3 × 510 + 3 × 840) / 6 = 675; one of its own: (1200 + 3 × 675) / 4.
        ->and($said('Gull 32'))->toBe([806, 'learned from 4'])
        // None of its own: (4 × 510 + 3 × 840) / 7.
        ->and($said('Slack 64'))->toBe([651, 'learned from 4'])
        ->and($said(null))->toBe([651, 'learned from 4'])
        ->and($times->over($step, 'Tern 64')->because[0]->text)->toBe(
            'Done 4 times here on this model with this system, 3 of them with Tern 64: half of those took up to 9 min, '
                .'half of all up to 9 min, worked out it would be 14 min; that counts as much as 3 times seen.',
        )
        ->and($times->over($step, 'Slack 64')->because[0]->text)
        ->toStartWith('Done 4 times here on this model with this system, with other sticks: half of them');
});

it('says nothing of other sticks where nobody noted which it was', function () {
    $times = new TimesSeen(['install.phase-0' => [[500, ''], [510, 'Gull 32']]]);
    expect($times->over(timed('install.phase-0'), 'Tern 64')->because[0]->text)->not->toContain('other sticks')
        ->and($times->over(timed('install.phase-0'), 'Gull 32')->because[0]->text)->toContain('1 of them with Gull 32');
});

it('tells what is far off among the times of one stick, not between sticks', function () {
    $slow = array_map(static fn (int $one): array => [$one, 'Slack 64'], [2400, 2410]);
    $fast = array_map(static fn (int $one): array => [$one, 'Tern 64'], [600, 601, 602, 603, 604, 605]);
    $text = (new TimesSeen(['install.phase-0' => [...$fast, ...$slow]]))->over(timed('install.phase-0'), 'Slack 64');
    expect($text->because[0]->text)->not->toContain('Left out')
        ->and($text->time->basis)->toBe('learned from 8')
        ->and($text->time->likely->seconds)->toBeGreaterThan(840);
});

it('keeps of the times of each stick what is not far off', function () {
    $of = static fn (string $stick, array $seconds): array => array_map(
        static fn (int $one): array => [$one, $stick],
        $seconds,
    );
    $sticks = TimesSeen::bySticks([
        ...$of('Tern 64', [630, 610, 620, 600, 3600]), ...$of('Gull 32', [1200]), ...$of('', [3500]),
    ]);
    expect($sticks)->toBe([
        'Tern 64' => [[600, 610, 620, 630], [3600]], 'Gull 32' => [[1200], []], '' => [[3500], []],
    ])
        ->and(TimesSeen::together($sticks))->toBe([[600, 610, 620, 630, 1200, 3500], [3600]])
        ->and(TimesSeen::together(TimesSeen::bySticks([])))->toBe([[], []]);
});

it('asks for the stick only while it is in', function () {
    $of = static fn (array $before, string $id = 'install.phase-0'): Step => new Step(
        $id, Stage::Install, 'A stone', Presence::WalkAway, Estimate::minutes(8, 14, 30), before: $before,
    );
    expect(TimesSeen::readsStick($of(['target.erased'])))->toBeTrue()
        ->and(TimesSeen::readsStick($of(['target.erased', PathFact::STICK_OUT])))->toBeFalse()
        ->and(TimesSeen::readsStick($of([], 'updates.system')))->toBeFalse()
        // Whatever stick the job starts from, a stone that does not read from it goes by all.
        ->and((new TimesSeen(['updates.system' => [[600, ''], [610, '']]]))
            ->over($of([], 'updates.system'), 'Tern 64')->time->basis)->toBe('learned from 2');
});
