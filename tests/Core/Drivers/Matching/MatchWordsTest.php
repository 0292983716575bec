<?php

use Cobblestone\Drivers\Matching\Candidate;
use Cobblestone\Drivers\Matching\DeviceMatch;
use Cobblestone\Drivers\Matching\MatchTarget;
use Cobblestone\Drivers\Matching\MatchWords;
use Cobblestone\Drivers\Matching\PackageOffer;
use Cobblestone\Drivers\Matching\Refusal;
use Cobblestone\Drivers\Matching\RefusedBecause;

it('tells a decision about one device', function (bool $brings, bool $found, string $chosen, string $reason) {
    $new = offered('new', ['date' => '2026-02-02']);
    $held = static fn (PackageOffer $of): Candidate => new Candidate($of, $of->claims[0], 0, null);
    $kinds = [...$found ? [['old', RefusedBecause::Date]] : [], ['mine', RefusedBecause::Signature]];
    $refused = array_map(static fn (array $of): Refusal => new Refusal(
        $held(offered($of[0])),
        $of[1],
        $found ? $held($new) : null,
        new MatchTarget('heron'),
    ), $kinds);
    $match = new DeviceMatch(wireless(), $brings, $found ? $new : null, $found ? 'pci:51a2:0202' : null, $refused);
    $decision = MatchWords::decision($match, 'Heron 1', static fn (PackageOffer $of): string => "Pack {$of->id}");
    expect([$decision->id, $decision->title, $decision->chosen, $decision->reasons, $decision->facts, $decision->rule])
        ->toBe([
            'drivers.for.pci:51a2:0202', 'Driver of W2', $chosen, [$reason], ['W2 pci:51a2:0202'], 'D3',
        ])
        ->and($decision->refused)->toBe([
            ...$found ? ['Pack old' => ['It is of 2026-01-01, and another of 2026-02-02.']] : [],
            'Pack mine' => ['It is not signed, and the system takes only what is.'],
        ]);
})->with([
    [false, true, 'Pack new', 'It claims pci:51a2:0202.'],
    [
        true, false, 'what Heron 1 brings',
        'Heron 1 has a driver for this device, and no package on the shelf may be used for it.',
    ],
    [
        false, false, 'none yet',
        'No package on the shelf may be used for it, and Heron 1 is not known to bring a driver.',
    ],
]);
