<?php

use Cobblestone\Machine\Identifier\Bus;
use Cobblestone\Machine\Identifier\HardwareIdentifier;
use Cobblestone\Machine\Identifier\IdentifierNames;

const PCI_NAMES = <<<'LIST'
# a remark
4f51  Ostler
	5500  V5 graphics
		4e52 0013  V5 graphics, Fairlead
	0c80  C8 chipset
51a2  Quarrel
	0202  Quarrel W2 wireless

C 02  Network controller
	80  Network controller
		00  not a device
LIST;

it('names a device as narrowly as the list does', function (string $device, ?string $name) {
    $names = IdentifierNames::read(Bus::Pci, PCI_NAMES)->and(IdentifierNames::read(Bus::Usb, "5749  Wickley\n"));
    expect($names->of(HardwareIdentifier::of($device)))->toBe($name);
})->with([
    ['pci:4f51:5500', 'Ostler V5 graphics'],
    ['pci:4f51:5500/4e52:0013#03', 'Ostler V5 graphics, Fairlead'],
    ['pci:4f51:5500/4e52:0014', 'Ostler V5 graphics'],
    ['pci:4f51:9999', 'Ostler'],
    ['pci:51a2:0202', 'Quarrel W2 wireless'],
    ['pci:9999:0001', null],
    ['pci:*:*@0280', null],
    ['usb:5749:0001', 'Wickley'],
    ['usb:4f51:5500', null],
]);

it('is not misled by lines that are no entries', function () {
    $names = IdentifierNames::read(Bus::Pci, "\t5500  without a maker\r\nzz\r\n4f51  Ostler\r\n\t55  short\r\n");
    expect($names->of(HardwareIdentifier::of('pci:4f51:5500')))->toBe('Ostler');
});
