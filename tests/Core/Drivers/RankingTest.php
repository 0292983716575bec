<?php

use Cobblestone\Drivers\DriverOrder;
use Cobblestone\Drivers\DriverPlanner;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Tests\Support\Entries;

/** @param  list<Cobblestone\Catalogue\DriverPackage>  $shelf */
function chosenPackage(array $shelf): ?string
{
    $machine = new Machine(
        'Test',
        Kind::Laptop,
        FactSheet::empty(),
        devices: [new Device('V5', 'pci:0001:0001', 'graphics')],
        model: Entries::model(),
    );
    $ordered = DriverPlanner::plan($machine, Entries::system(), $shelf, Policy::of())->ordered;

    return ($ordered[0] ?? null)?->id;
}

it('takes the package locked to this model, then the later date, then the first by name', function (
    array $shelf,
    ?string $chosen,
) {
    $packages = array_map(fn (array $said) => Entries::package($said), $shelf);
    expect(chosenPackage($packages))->toBe($chosen)->and(chosenPackage(array_reverse($packages)))->toBe($chosen);
})->with([
    'the later date' => [[['id' => 'old', 'date' => '2025-01-01'], ['id' => 'new', 'date' => '2026-01-01']], 'new'],
    'locked before later' => [
        [['id' => 'mine', 'date' => '2024-01-01', 'models' => ['t']], ['id' => 'new', 'date' => '2026-01-01']],
        'mine',
    ],
    'the later of two locked ones' => [
        [
            ['id' => 'mine', 'date' => '2024-01-01', 'models' => ['t']],
            ['id' => 'mine-too', 'date' => '2025-01-01', 'models' => ['t']],
        ],
        'mine-too',
    ],
    'locked to another' => [
        [['id' => 'theirs', 'date' => '2026-01-01', 'models' => ['u']], ['id' => 'old', 'date' => '2025-01-01']],
        'old',
    ],
    'of one day' => [[['id' => 'b', 'date' => '2026-01-01'], ['id' => 'a', 'date' => '2026-01-01']], 'a'],
    'for another system' => [[['id' => 'a', 'systems' => ['gannet']]], null],
    'for another device' => [[['id' => 'a', 'claims' => ['pci:0001:0002']]], null],
]);

it('keeps the families of a school in their order', function (string $school, array $families) {
    $packages = array_map(
        fn (string $family) => Entries::package(['id' => "of-{$family}", 'family' => $family]),
        Device::FAMILIES,
    );
    shuffle($packages);
    expect(array_map(fn ($package) => $package->family, DriverOrder::by($school, $packages)))->toBe($families);
})->with([
    ['chipset-first', ['chipset', 'storage', 'network', 'graphics', 'audio', 'input', 'sensor']],
    ['network-first', ['network', 'chipset', 'storage', 'graphics', 'audio', 'input', 'sensor']],
    ['graphics-first', ['graphics', 'chipset', 'storage', 'network', 'audio', 'input', 'sensor']],
]);
