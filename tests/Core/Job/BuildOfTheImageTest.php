<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Tests\Support\Demo;

// Drivers and ways in go by the build of the image that is installed, where it says one.

function accountWith(?int $build, string $of = 'tansy-desktop-7-dock'): string
{
    $catalogue = Demo::catalogue();
    if ($build !== null) {
        $image = [...$catalogue->image($of)->toArray(), 'build' => $build];
        $catalogue = $catalogue->with('images', [$of => $image]);
    }
    $plan = JobPlanner::plan(Brief::fromArray(Demo::brief('fairlead-13')), $catalogue, Policy::of());
    $rows = array_column($plan->step('first-boot.answers')->rows ?? [], 'because', 'asked');

    return $rows['Account'] ?? '';
}

it('takes the way to an account by the build of the image', function (?int $build, bool $works) {
    // The way of Tansy Desktop 7 works up to build 7299; its entry says 7200.
    expect(str_contains(accountWith($build), 'does not work on build'))->toBe(! $works);
})->with([
    'none said: the system\'s own' => [null, true],
    'the last it works on' => [7299, true],
    'the first it does not' => [7300, false],
]);

it('goes by no other image', function () {
    expect(accountWith(7300, 'tansy-desktop-7-fleet'))->toBe(accountWith(null));
});
