<?php

declare(strict_types=1);

use Cobblestone\Brief\CardBlock;
use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Drivers\CardChange;
use Cobblestone\Drivers\CardDriver;
use Cobblestone\Drivers\OldCard;
use Cobblestone\Job\Path\CardSwapSteps;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Tests\Support\Demo;

it('says which other device loses its driver with the family', function () {
    $machine = new Machine('x', Kind::Desktop, FactSheet::empty(), devices: [
        new Device('Fennick G7 graphics', 'pci:46e1:7700', 'graphics'),
        new Device('Fennick B1 graphics', 'pci:46e1:1100', 'graphics'),
        new Device('Fennick A3 sound', 'hdaudio:46e10a30', 'audio'),
        new Device('Ostler V5 graphics', 'pci:4f51:5500', 'graphics'),
    ]);
    $catalogue = Demo::catalogue();
    $of = static fn (?string $said): OldCard => OldCard::of(
        new CardBlock('new', $said), $machine, $catalogue->system('tansy-desktop-7'), $catalogue->drivers(),
    );
    expect(array_map(static fn (Device $kin): string => $kin->name, $of('G7')->kin))->toBe(['Fennick B1 graphics'])
        ->and($of('G7')->vendor())->toBe('46e1')
        ->and($of(null)->device)->toBeNull()
        ->and($of('Fennick')->device)->toBeNull()
        ->and($of('ostler')->kin)->toBe([])
        ->and(implode(' ', CardSwapSteps::removeOld($of('G7'))->instructions))
        ->toContain('Fennick B1 graphics is of the same maker and stays: its driver goes with the family');
});

it('removes nothing where the system drives the old card by itself and no package is for it', function () {
    $machine = new Machine('x', Kind::Desktop, FactSheet::empty(), devices: [
        new Device('Ostler B2 graphics', 'pci:4f51:2200', 'graphics'),
    ]);
    $catalogue = Demo::catalogue();
    $system = $catalogue->system('skerry-rolling');
    $of = static fn (array $shelf): OldCard => OldCard::of(new CardBlock('new'), $machine, $system, $shelf);
    $driver = CardDriver::match(new CardBlock('new'), $machine, $system, [], Policy::of());
    $added = DriverPackage::fromArray([
        'id' => 'x', 'name' => 'Ostler X', 'family' => 'graphics', 'claims' => ['pci:4f51:2201'],
        'systems' => ['skerry-rolling'], 'architecture' => 'x86-64', 'version' => '1', 'date' => '2026-01-01',
        'bytes' => 1, 'restart' => 'none', 'minutes' => [1, 1, 1], 'sha256' => str_repeat('0', 64), 'source' => 's',
    ]);
    expect($of([])->isDrivenBySystem)->toBeTrue()
        ->and(CardChange::decide($of([]), $driver, Policy::of())->removes)->toBeFalse()
        ->and($of([$added])->isDrivenBySystem)->toBeFalse()
        ->and(CardChange::decide($of([$added]), $driver, Policy::of())->removes)->toBeTrue();
});

it('wants what the package wants first, each once, the first first', function () {
    $package = static fn (string $id, array $needs): DriverPackage => DriverPackage::fromArray([
        'id' => $id, 'name' => $id, 'family' => 'graphics', 'claims' => ['pci:4f51:1'.strlen($id).'00'],
        'systems' => ['tansy-desktop-7'], 'architecture' => 'x86-64', 'version' => '1', 'date' => '2026-01-01',
        'bytes' => 1, 'restart' => 'none', 'minutes' => [1, 1, 1], 'sha256' => str_repeat('0', 64), 'source' => 's',
        'needs' => $needs,
    ]);
    $shelf = [$package('card', ['ab', 'abc']), $package('abc', ['ab']), $package('ab', [])];
    $driver = CardDriver::match(
        new CardBlock('new', id: 'pci:4f51:1400'),
        new Machine('x', Kind::Desktop, FactSheet::empty()),
        Demo::catalogue()->system('tansy-desktop-7'),
        $shelf,
        Policy::of(),
    );
    expect(array_map(static fn (DriverPackage $one): string => $one->id, $driver->needs))->toBe(['ab', 'abc'])
        ->and(implode(' ', $driver->fetch()->instructions))->toContain('It wants ab 1 first')->toContain('abc 1 first');
});
