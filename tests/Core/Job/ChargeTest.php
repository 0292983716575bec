<?php

use Cobblestone\Firmware\FirmwarePlanner;
use Cobblestone\Inventory\SystemNoteReader;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\WalkThrough;
use Tests\Support\Demo;

$decided = fn (Plan $plan, string $id): string => array_column(
    array_map(fn ($one) => [$one->id, $one->chosen.' | '.implode(' ', $one->reasons)], $plan->decisions),
    1,
    0,
)[$id]
    ?? '';
$laid = fn (Plan $plan): array => array_column(WalkThrough::of($plan), 'laid', 'id');

it('decides at the desk by the charge that was read and by a hub at hand', function (
    array $facts,
    string $chosen,
) use ($decided) {
    $brief = Demo::brief('pocket-lantern')['machine']['facts'] ?? [];
    expect($decided(Demo::plan('pocket-lantern', ['machine' => ['facts' => [...$brief, ...$facts]]]), 'power.source'))
        ->toStartWith($chosen);
})->with([
    [[], 'battery, from 43 % charge'],
    [['battery.percent' => 80], 'go: 80 % read, 43 % needed'],
    [['battery.percent' => 42], 'charge to 43 % first: 42 % read'],
    [['hub.at_hand' => 'yes'], 'hub with a power input'],
    [['hub.at_hand' => 'yes', 'charger.watts' => 15], 'battery, from 43 %'],
]);

it('goes by the charge that the collector read', function () use ($decided) {
    $read = ['tool' => 'collector', 'origin' => 'system.txt', 'facts' => SystemNoteReader::read(
        SystemNoteReader::HEAD." 1\nbattery: charge 80 %",
    )->facts];
    $plan = Demo::plan('pocket-lantern', ['machine' => ['readings' => [$read]]]);
    $said = static fn (Plan $plan): string => implode(', ', $plan->decision('power.source')->facts ?? []);
    expect($decided($plan, 'power.source'))->toStartWith('go: 80 % read')
        ->and($said($plan))->toContain('charge 80 %: cobblestone-collect')
        ->and($said(Demo::plan('pocket-lantern')))->not->toContain('charge ');
});

it('puts a changed power mode back', function () {
    $plan = Demo::plan('pocket-lantern');
    expect(array_column($plan->toArray()['put_back'], 'id'))->toContain('power-mode')
        ->and($plan->step('put-back.power-mode'))->not->toBeNull();
});

it('names a socket that its own page does not say to avoid, and leaves the charger its own', function () {
    $machine = fn (Kind $kind, array $ports) => new Machine('x', $kind, FactSheet::empty(), ports: $ports);
    $tower = $machine(Kind::Desktop, [new Port('f', 'usb-c', 'front', 10000), new Port('r', 'usb-a', 'rear', 5000)]);
    expect(FirmwarePlanner::portFor($tower, 'usb-c')?->id)->toBe('r');
    $laptop = $machine(Kind::Laptop, [
        new Port('c', 'usb-c', 'left', 10000, true),
        new Port('a', 'usb-a', 'right', 5000),
    ]);
    expect(FirmwarePlanner::portFor($laptop, 'usb-c')?->id)->toBe('a');
    expect(
        FirmwarePlanner::portFor($machine(Kind::Handheld, [new Port('c', 'usb-c', 'top', 10000, true)]), 'usb-c')?->id,
    )
        ->toBe('c');
});
