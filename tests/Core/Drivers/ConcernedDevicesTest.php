<?php

use Cobblestone\Drivers\DriverPlanner;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\MachineModel;
use Cobblestone\Policy\Policy;
use Tests\Support\Demo;
use Tests\Support\Entries;

it('asks of a device that no family names whether something is for it or says that it wants a driver', function () {
    $device = static fn (string $id, string $family, ?string $status = null): Device => new Device(
        "name of {$id}", $id, $family, status: $status,
    );
    $machine = new Machine('A laptop', Kind::Laptop, FactSheet::empty(), devices: [
        $device('pci:4f51:0001', 'other', 'OK'),
        $device('pci:4f51:0002', 'other', 'Code 28'),
        $device('pci:4f51:0003', 'other', 'OK'),
        $device('usb:4f51:0004', 'hub'),
        $device('usb:4f51:0005', 'input'),
        $device('pci:4f51:0006', 'network', 'OK'),
    ]);
    $reader = Entries::package([
        'id' => 'reader', 'family' => 'input', 'claims' => ['pci:4f51:0003'], 'systems' => ['tansy-desktop-7'],
    ]);
    $plan = DriverPlanner::plan($machine, Demo::catalogue()->system('tansy-desktop-7'), [$reader], Policy::of([]));
    expect(array_column($plan->found(), 'hangs', 'id'))->toBe([
        'pci:4f51:0002' => 'empty', 'pci:4f51:0003' => 'hung', 'pci:4f51:0006' => 'empty',
    ]);
});

it('never lets a device that its model names vanish, and claims nothing where only a mouse was read', function () {
    $system = Demo::catalogue()->system('tansy-desktop-7');
    $because = static function (array $devices, ?MachineModel $model) use ($system): array {
        $machine = new Machine('x', Kind::Laptop, FactSheet::empty(), devices: $devices, model: $model);
        $plan = DriverPlanner::plan($machine, $system, [], Policy::of([]));
        $audit = array_values(array_filter($plan->contribution->steps, fn ($step) => $step->id === 'drivers.audit'))[0];

        return [array_column($plan->found(), 'hangs', 'id'), $audit->because[0]->text];
    };
    $model = Entries::model(['devices' => [['name' => 'Pad', 'id' => 'acpi:fnck9999', 'family' => 'input']]]);
    expect($because($model->devices, $model))
        ->toBe([['acpi:fnck9999' => 'empty'], '1 device has no package on the shelf.'])
        ->and($because([new Device('Mouse', 'usb:4f51:0005', 'input')], null))
        ->toBe([[], 'What is inside is only known once a system runs.']);
});
