<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Firmware\Charging;
use Cobblestone\Job\MachineBuilder;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Duration;
use Cobblestone\Runbook\Presence;
use Tests\Support\Demo;

// Charging takes the watt-hours missing over charger − draw (rule F8).

/** @param  array<string, mixed>  $facts */
function chargingMachine(array $facts, string $model): Machine
{
    $brief = Brief::fromArray([
        'brief' => 1, 'title' => 'x', 'machine' => ['model' => $model, 'facts' => $facts],
    ]);

    return MachineBuilder::build($brief, Demo::catalogue())[0];
}

/** @param  array<string, mixed>  $facts */
function chargingOf(array $facts, int $read, int $percent, string $model = 'wickley-pocket-lantern'): ?Charging
{
    return Charging::of(chargingMachine($facts, $model), $read, $percent);
}

it('counts from what is missing and what the charger leaves', function (
    array $facts,
    int $read,
    int $to,
    string $says,
) {
    expect(chargingOf($facts, $read, $to)?->sentence())->toBe($says);
})->with(function () {
    $battery = chargingMachine([], 'wickley-pocket-lantern')->battery;
    $present = $battery->present()->milliwattHours;
    $draw = $battery->draw->milliwatts;
    $said = function (int $percent, float $watts) use ($present, $draw): string {
        $missing = (int) round($present * $percent / 100);
        $seconds = (int) ceil($missing * 3600 / ($watts * 1000 - $draw));

        return sprintf('%.1f Wh missing over %.1f W − %.1f W: about ', $missing / 1000, $watts, $draw / 1000)
            .Duration::seconds($seconds)->label().' of charging.';
    };

    return [
        'its own charger' => [['charger.watts' => 60], 30, 80, $said(50, 60)],
        'a weaker one' => [['charger.watts' => 30], 30, 80, $said(50, 30)],
        'a little' => [['charger.watts' => 60], 79, 80, $said(1, 60)],
    ];
});

it('says nothing where the charger leaves nothing, or nobody knows battery and draw', function () {
    expect(chargingOf(['charger.watts' => 5], 30, 80))->toBeNull()
        ->and(chargingOf(['charger.watts' => 60], 30, 80, 'brackwater-capstan-t3'))->toBeNull();
});

it('is a walk away on the path, with its minutes', function () {
    $known = Demo::brief('pocket-lantern')['machine']['facts'] ?? [];
    $facts = [...$known, 'battery.percent' => 20, 'charger.watts' => 60];
    unset($facts['hub.at_hand']);
    $step = Demo::plan('pocket-lantern', ['machine' => ['facts' => $facts]])->step('firmware.charge');
    expect($step?->presence)->toBe(Presence::WalkAway)
        ->and(implode(' ', array_column($step->because ?? [], 'text')))->toContain('Wh missing over 60.0 W')
        ->and($step?->time->likely->seconds)->toBeGreaterThan(600);
});
