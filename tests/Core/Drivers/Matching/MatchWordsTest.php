<?php

use Cobblestone\Drivers\Matching\DeviceMatch;
use Cobblestone\Drivers\Matching\MatchWords;
use Cobblestone\Drivers\Matching\PackageOffer;
use Cobblestone\Drivers\Matching\Refusal;
use Cobblestone\Drivers\Matching\RefusedBecause;

it('says of each reason what it means', function (RefusedBecause $because, string $words) {
    expect(MatchWords::against($because))->toBe($words);
})->with([
    [RefusedBecause::Architecture, 'It is for another processor architecture.'],
    [RefusedBecause::Build, 'It is for another system, or for other builds of it.'],
    [RefusedBecause::Model, 'Another is made for exactly this model, or this one is locked to others.'],
    [RefusedBecause::Revision, 'It is for another revision.'],
    [RefusedBecause::Signature, 'It is not signed, and the system takes only what is.'],
    [RefusedBecause::Specificity, 'Another names this device more narrowly.'],
    [RefusedBecause::Channel, 'Another comes from the channel that the bench prefers.'],
    [RefusedBecause::Date, 'Another is newer.'],
    [RefusedBecause::Version, 'Another of the same line is as new or newer.'],
]);

it('says that a package is locked to others where there is no better one', function () {
    expect(MatchWords::against(RefusedBecause::Model, false))->toBe('It is locked to other models.');
});

it('tells a decision about one device', function (bool $brings, bool $found, string $chosen, string $reason) {
    $refused = [new Refusal(offered('old'), RefusedBecause::Date), new Refusal(offered('mine'), RefusedBecause::Model)];
    $winner = $found ? offered('new') : null;
    $match = new DeviceMatch(wireless(), $brings, $winner, $found ? 'pci:51a2:0202' : null, $refused);
    $decision = MatchWords::decision($match, 'Heron 1', static fn (PackageOffer $of): string => "Pack {$of->id}");
    expect([$decision->id, $decision->title, $decision->chosen, $decision->reasons, $decision->facts, $decision->rule])
        ->toBe([
            'drivers.for.pci:51a2:0202', 'Driver of W2', $chosen, [$reason], ['W2 pci:51a2:0202'], 'D3',
        ])
        ->and($decision->refused)->toBe([
            'Pack old' => ['Another is newer.'],
            'Pack mine' => [MatchWords::against(RefusedBecause::Model, $found)],
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
