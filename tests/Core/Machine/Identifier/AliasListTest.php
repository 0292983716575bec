<?php

use Cobblestone\Machine\Identifier\AliasList;
use Cobblestone\Machine\Identifier\HardwareIdentifier;

it('brings a driver for the device that a pattern fits, and for no other', function (
    string $pattern,
    string $device,
    bool $brings,
) {
    expect((new AliasList([$pattern]))->brings(HardwareIdentifier::of($device)))->toBe($brings);
})->with([
    'the device' => ['alias pci:v000051A2d00000202sv*sd*bc*sc*i* quarrelw2', 'pci:51a2:0202', true],
    'a pattern alone' => ['pci:v000051A2d00000202sv*sd*bc*sc*i*', 'pci:51a2:0202/4e52:0013', true],
    'another device' => ['alias pci:v000051A2d00000203sv*sd*bc*sc*i* quarrelw2', 'pci:51a2:0202', false],
    'all of a maker' => ['pci:v000051A2d*sv*sd*bc02sc80i*', 'pci:51a2:0202@0280', true],
    'all of a maker, of a class nobody read' => ['pci:v000051A2d*sv*sd*bc02sc80i*', 'pci:51a2:0202', false],
    'only where it was fitted' => ['pci:v000051A2d00000202sv00004E52sd*bc*sc*i*', 'pci:51a2:0202/4e52:0013', true],
    'where nobody knows who fitted it' => ['pci:v000051A2d00000202sv00004E52sd*bc*sc*i*', 'pci:51a2:0202', false],
    'a class' => ['pci:v*d*sv*sd*bc0Csc03i30*', 'pci:4f51:9999@0c0330', true],
    'another class' => ['pci:v*d*sv*sd*bc0Csc03i30*', 'pci:4f51:9999@0c0320', false],
    'a range of revisions' => ['usb:v5749p0001d01[0-9][0-9]dc*dsc*dp*ic*isc*ip*in*', 'usb:5749:0001#0110', true],
    'out of the range' => ['usb:v5749p0001d01[0-9][0-9]dc*dsc*dp*ic*isc*ip*in*', 'usb:5749:0001#0210', false],
    'any maker of a kind of interface' => ['usb:v*p*d*dc*dsc*dp*ic03isc01ip01in*', 'usb:5749:0001+02@030101', true],
    'sound' => ['hdaudio:v46E10A10r*a01*', 'hdaudio:46e10a10', true],
    'any sound' => ['hdaudio:v*r*a01*', 'hdaudio:46e10a10#1000', true],
    'platform' => ['alias acpi*:FNCK0704:* fnck_touch', 'acpi:fnck0704', true],
    'another of the platform' => ['alias acpi*:FNCK0705:* fnck_touch', 'acpi:fnck0704', false],
    'a remark' => ['# Aliases extracted from modules themselves.', 'pci:51a2:0202', false],
    'nothing' => ['', 'pci:51a2:0202', false],
    'the bus of another' => ['usb:v51A2p0202d*dc*dsc*dp*ic*isc*ip*in*', 'pci:51a2:0202', false],
]);

it('keeps its lines as they were given', function () {
    expect((new AliasList(['alias acpi*:FNCK0704:* fnck']))->toArray())->toBe(['alias acpi*:FNCK0704:* fnck']);
});
