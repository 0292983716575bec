<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

/** @param  array<string, mixed>|null  $atHand */
function fetching(?array $atHand, string $goal = 'media-only', ?string $sha256 = null): Plan
{
    $image = Demo::catalogue()->all('images')['tansy-desktop-7-dock'];
    $image = [...$image, ...$atHand === null ? [] : ['at_hand' => $atHand], 'sha256' => $sha256];

    return JobPlanner::plan(Brief::fromArray([
        'brief' => 1, 'title' => 'a stick', 'goal' => $goal, 'system' => 'tansy-desktop-7',
        'image' => 'tansy-desktop-7-dock', 'machine' => [
            'model' => 'norrel-fairlead-13', 'facts' => ['present.system' => 'tansy-desktop-6'],
        ],
    ]), Demo::catalogue()->with('images', ['tansy-desktop-7-dock' => $image]), Policy::of());
}

function fetchStone(Plan $plan, string $id = 'image.fetch'): ?Step
{
    return array_values(array_filter($plan->steps, fn (Step $step): bool => $step->id === $id))[0] ?? null;
}

it('fetches what the shelf does not have, before it is checked', function (string $goal) {
    $plan = fetching(['here' => false], $goal);
    expect(fetchStone($plan)?->after)->toBe([PathFact::IMAGE_FETCHED])
        ->and(fetchStone($plan, 'image.check')?->before)->toContain(PathFact::IMAGE_FETCHED);
})->with(['media-only', 'clean-install', 'upgrade']);

it('fetches nothing that lies on the shelf, or where nobody looked', function (?array $atHand) {
    $plan = fetching($atHand);
    expect(fetchStone($plan))->toBeNull()
        ->and(fetchStone($plan, 'image.check')?->before)->not->toContain(PathFact::IMAGE_FETCHED);
})->with([[null], [['here' => true]], [['here' => true, 'megabits' => 40]]]);

it('works out minutes from bytes and line: six to nine tenths of its name, or as it was measured', function (
    array $atHand,
    array $minutes,
    string $says,
) {
    $stone = fetchStone(fetching(['here' => false, ...$atHand]));
    $found = array_map(
        fn ($one): float => round($one->inMinutes(), 1),
        [$stone?->time->low, $stone?->time->likely, $stone?->time->high],
    );
    // 6 174 015 488 bytes are 49 392.1 megabits; whole seconds, rounded up.
    expect($found)->toBe($minutes)->and($stone?->because[0]->text)->toContain($says);
})->with([
    [[], [9.2, 11.0, 13.7], 'a line of 100 Mb/s, as it is called'],
    [['megabits' => 40.5], [18.5, 20.3, 29.0], 'a line of 40.5 Mb/s, as it was measured here'],
]);

it('says by what it is compared', function () {
    $said = fn (?string $sum): string => implode(
        ' ',
        fetchStone(fetching(['here' => false], 'media-only', $sum))->instructions ?? [],
    );
    expect($said(null))->toContain('has no checksum of it')
        ->and($said(str_repeat('a', 64)))->toContain('compared with the publisher\'s checksum');
});
