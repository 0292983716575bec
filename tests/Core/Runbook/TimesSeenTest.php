<?php

declare(strict_types=1);

use Cobblestone\Quantity\Estimate;
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

/** @return array{int, int, int} seconds */
function timeOf(Step $step): array
{
    return [$step->time->low->seconds, $step->time->likely->seconds, $step->time->high->seconds];
}

it('goes by what was seen once there is enough of it', function (array $seconds, array $expected) {
    expect(timeOf((new TimesSeen(['install.phase-0' => $seconds]))->over(timed('install.phase-0'))))->toBe($expected);
})->with([
    'nothing' => [[], [480, 840, 1800]],
    'four' => [[300, 310, 320, 330], [480, 840, 1800]],
    'five, as they came' => [[330, 300, 900, 320, 310], [300, 320, 900]],
    'six' => [[300, 310, 320, 330, 340, 350], [300, 320, 350]],
    'ten' => [range(100, 1000, 100), [100, 500, 900]],
    'eleven' => [range(100, 1100, 100), [200, 600, 1000]],
    'all the same' => [[60, 60, 60, 60, 60], [60, 60, 60]],
]);

it('says how often and how long, and no longer what set the pace of the arithmetic', function () {
    $step = (new TimesSeen(['updates.system' => [600, 660, 720, 780, 840]]))->over(timed('updates.system'));
    expect(array_map(static fn (Reason $reason): string => $reason->text, $step->because))->toBe([
        'Done 5 times here on this model with this system: half of them took up to 12 min, 10 min to 14 min as a rule. '
            .'Worked out it would be 14 min.',
        'Something else.',
    ]);
});

it('leaves alone whose time follows from something else', function (string $id) {
    $times = new TimesSeen([$id => [1, 1, 1, 1, 1, 1]]);
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
        $brief, Demo::catalogue(), Cobblestone\Policy\Policy::of(), new TimesSeen($seconds),
    );
    [$without, $with] = [$plan([]), $plan(['install.phase-1' => $seen, 'protect.back-up' => $seen])];
    foreach ($with->steps as $place => $step) {
        $is = $step->id === 'install.phase-1' ? [301, 303, 305] : timeOf($without->steps[$place]);
        expect(timeOf($step))->toBe($is, $step->id);
    }
});
