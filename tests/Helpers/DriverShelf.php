<?php

use Cobblestone\Drivers\Matching\DeviceMatch;
use Cobblestone\Drivers\Matching\DriverShelf;
use Cobblestone\Drivers\Matching\MatchTarget;
use Cobblestone\Drivers\Matching\OfferedClaim;
use Cobblestone\Drivers\Matching\PackageOffer;
use Cobblestone\Drivers\Matching\Refusal;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Identifier\AliasList;

/** @param  array<string, mixed>  $said */
function offered(string $id, array $said = [], string $identifier = 'pci:51a2:0202'): PackageOffer
{
    return new PackageOffer(...[
        'id' => $id,
        'source' => "{$id}.zip",
        'setupFile' => "{$id}.inf",
        'line' => 'quarrel w2',
        'version' => '1.0',
        'date' => '2026-01-01',
        'claims' => [new OfferedClaim($identifier, 'x86-64')],
        ...$said,
    ]);
}

/** @param  list<PackageOffer>  $offers */
function matched(array $offers, ?Device $device = null, ?MatchTarget $target = null): DeviceMatch
{
    return (new DriverShelf($offers))->match(
        [$device ?? wireless()],
        $target ?? new MatchTarget('tansy-desktop-7', 'x86-64', 7200, 'fairlead'),
        new AliasList(),
    )[0];
}

function wireless(): Device
{
    return new Device('W2', 'pci:51a2:0202', 'network', identifiers: ['pci:51a2:0202/4e52:0013#02@028000']);
}

/** @return array<string, string> source => why */
function whys(DeviceMatch $match): array
{
    return array_column(
        array_map(static fn (Refusal $of): array => [$of->offer()->source, $of->because->value], $match->refused),
        1,
        0,
    );
}
