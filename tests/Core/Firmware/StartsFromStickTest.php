<?php

use Cobblestone\Firmware\FirmwarePlanner;
use Cobblestone\Firmware\WayIn;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;
use Tests\Support\Demo;

it('starts by the one-time menu, or by a permanent order that is put back', function () {
    $menu = Demo::plan('fairlead-13');
    $permanent = Demo::plan('fairlead-13', [], ['boot' => 'permanent-order']);
    expect(implode(' ', $menu->step('boot.start')->instructions ?? []))
        ->toContain('tap `F10`')
        ->toContain('usb-a, right side')
        ->and($menu->step('put-back.boot-order'))->toBeNull()
        ->and($permanent->step('boot.start')?->title)->toBe('Start the stick')
        ->and(implode(' ', $permanent->step('boot.start')->instructions ?? []))->not->toContain('F10')
        ->and($permanent->step('put-back.boot-order'))->not->toBeNull()
        ->and(array_column($permanent->step('firmware.set')->rows ?? [], 'becomes'))->toContain('stick first');
});

it('gives the way of this model with its record, else a ranked list for the kind', function () {
    $own = machineWith([], [], Kind::Handheld, [], null, [
        'firmware' => [
            'ways_in' => [
                'menu' => ['how' => 'hold', 'key' => 'volume up', 'press' => 'power', 'seconds' => 4, 'confirmed' => 2],
            ],
        ],
    ]);
    expect(WayIn::menu($own)->forThisModel)->toBeTrue()
        ->and(WayIn::menu($own)->source)->toContain('Worked 2 times')
        ->and(WayIn::menu($own)->instructions('the list')[0])
        ->toBe(
            'Fully off. Hold `volume up`, press `power` once, keep holding about 4 s until the list stands, then '
                .'let go.',
        );
    $unknown = new Machine('x', Kind::Laptop, FactSheet::empty());
    expect(WayIn::setup($unknown)->forThisModel)->toBeFalse()
        ->and(WayIn::setup($unknown)->instructions('the setup'))->toHaveCount(4)
        ->and(WayIn::setup($unknown)->instructions('the setup')[0])
        ->toBe('Power on and tap `F2` until the setup stands.')
        ->and(WayIn::setup($unknown)->instructions('the setup')[1])->toStartWith('Nothing? Power fully off');
});

it('gives the stick its own connector and leaves the charger its socket', function () {
    $ports = [
        new Port('c1', 'usb-c', '1', 10000, true),
        new Port('c2', 'usb-c', '2', 5000),
        new Port('a1', 'usb-a', '3', 480),
        new Port('a2', 'usb-a', '4', 5000),
    ];
    $machine = machineWith([], [], Kind::Laptop, $ports);
    expect(FirmwarePlanner::portFor($machine, 'usb-a')?->id)->toBe('a2')
        ->and(FirmwarePlanner::portFor($machine, 'usb-c')?->id)->toBe('c2')
        ->and(FirmwarePlanner::portFor($machine, null)?->id)->toBe('a2')
        ->and(FirmwarePlanner::portFor(machineWith([]), 'usb-a'))->toBeNull();
});

it('records the settings before it changes any, and warns of the chip', function () {
    $plan = Demo::plan('fairlead-13');
    expect($plan->step('firmware.set')?->before)->toBe(['firmware.recorded'])
        ->and(implode(' ', $plan->step('firmware.set')->cautions ?? []))->toContain('clear the security chip')
        ->and($plan->step('firmware.set')?->title)->toBe('Set 4 settings')
        ->and($plan->step('firmware.snapshot')?->before)->toBe(['old-system.shut-down']);
});
