<?php

use Cobblestone\Firmware\PortPower;
use Cobblestone\Machine\Battery;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Port;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Energy;
use Cobblestone\Quantity\Power;
use Tests\Support\Demo;

it('needs twice the draw and a fifth of the cell', function () {
    $required = PortPower::required(Power::watts(15), Duration::minutes(14), Energy::wattHours(37.6));
    expect($required->milliwattHours)->toBe(3500 * 2 + 7520)
        ->and(PortPower::percentFor($required, Energy::wattHours(37.6), 0.9))->toBe(43)
        ->and(PortPower::percentFor(Energy::wattHours(9), Energy::wattHours(10), 0.9))->toBe(100)
        ->and(PortPower::percentFor(Energy::milliwattHours(9001), Energy::wattHours(10), 0.9))->toBe(101)
        ->and(PortPower::hubNet(Power::watts(45), Power::watts(5), Power::watts(41))->milliwatts)->toBe(-1000);
});

it('chooses charger, battery or hub by sockets and figures', function (
    array $ports,
    ?Battery $battery,
    Kind $kind,
    ?string $chosen,
    bool $step,
    int $blockers,
) {
    $plan = PortPower::plan(
        machineWith([], [], $kind, $ports, $battery, ['hub' => ['charger_w' => 45, 'hub_w' => 5]]),
        Duration::minutes(60),
    );
    expect($plan->decisions[0]->chosen ?? null)->toBe($chosen)
        ->and($plan->steps !== [])->toBe($step)
        ->and($plan->blockers)->toHaveCount($blockers);
})->with(function () {
    $c = fn (string $id) => new Port($id, 'usb-c', 'here', 5000, true);
    $a = new Port('a', 'usb-a', 'here', 5000);
    $battery = fn (float $wh, ?float $draw) => new Battery(
        Energy::wattHours($wh),
        $draw === null ? null : Power::watts($draw),
    );

    return [
        'a desktop needs nothing' => [[$c('1')], null, Kind::Desktop, null, false, 0],
        'two sockets' => [[$c('1'), $c('2')], $battery(40, 15), Kind::Handheld, 'charger', false, 0],
        'own charging socket' => [[$a], null, Kind::Laptop, 'charger', false, 0],
        'one socket, strong cell' => [
            [$c('1')],
            $battery(60, 10),
            Kind::Handheld,
            'battery, from 60 % charge',
            true,
            0,
        ],
        'one socket, draw unknown' => [
            [$c('1')],
            $battery(60, null),
            Kind::Laptop,
            'battery, from 40 % charge',
            true,
            0,
        ],
        'no cell known' => [[$c('1')], null, Kind::Laptop, 'battery, from 40 % charge', true, 0],
        'weak cell: hub' => [[$c('1')], $battery(20, 15), Kind::Handheld, 'hub with a power input', false, 0],
        'even the hub drains' => [[$c('1')], $battery(20, 42), Kind::Handheld, 'hub with a power input', false, 1],
    ];
});

it('wants the charge written down and at least as high as computed', function () {
    $step = Demo::plan('pocket-lantern')->step('firmware.charge');
    expect($step?->evidence[0]->least)->toBe(43)
        ->and($step?->title)->toBe('Charge to 43 %')
        ->and($step?->after)->toBe(['power.safe'])
        ->and(implode(' ', $step?->cautions ?? []))->toContain('swollen');
});
