<?php

declare(strict_types=1);

use Cobblestone\Hardware\FirstPower;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Tests\Support\Demo;

/** @return list<string> */
function lookedOver(Machine $machine): array
{
    return FirstPower::plan($machine, null)->steps[0]->instructions;
}

it('names slots and card where the model says them', function () {
    $model = Demo::catalogue()->machine('brackwater-capstan-t3');
    $with = static fn (array $devices): Machine => new Machine(
        'x', Kind::Desktop, FactSheet::empty(), devices: $devices, model: $model,
    );
    $card = new Device('Fennick G7 graphics', 'pci:46e1:7700', 'graphics');
    expect(array_slice(lookedOver($with([$card, new Device('Sound', 'hdaudio:46e10a30', 'audio')])), 1, 2))->toBe([
        'Memory, both ends locked: 1 module in DIMM A2; 2 modules in DIMM A2, DIMM B2; 4 modules in DIMM A1, DIMM A2, '
            .'DIMM B1, DIMM B2.',
        'Fennick G7 graphics, where it is fitted: seated in the upper slot, next to the processor, its own power '
            .'leads in, the picture cable on it.',
    ]);
    $other = new Device('Ostler B1 graphics', 'pci:4f51:1100', 'graphics');
    expect(lookedOver($with([$card, $other]))[2])
        ->toStartWith('The card, where it is fitted: seated in the upper slot')
        ->and(lookedOver($with([]))[2])->toStartWith('Is there a graphics card:');
});

it('claims neither of a build that nobody has described', function () {
    expect(array_slice(lookedOver(new Machine('x', Kind::Desktop, FactSheet::empty(), devices: [
        new Device('Fennick G7 graphics', 'pci:46e1:7700', 'graphics'),
    ])), 1, 2))->toBe([
        'Memory in the slots the board names for this count, both ends locked.',
        'Is there a graphics card: seated, its own power leads in, the picture cable on it.',
    ]);
});
