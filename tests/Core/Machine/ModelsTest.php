<?php

use Cobblestone\Document\Fields;
use Cobblestone\Machine\Battery;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\DriveWords;
use Cobblestone\Machine\Model\FirmwareModel;
use Cobblestone\Machine\Model\KnownWay;
use Cobblestone\Machine\Model\MachineModel;
use Cobblestone\Machine\Model\WaysIn;
use Cobblestone\Machine\Partition;
use Cobblestone\Machine\Port;
use Cobblestone\Machine\SecureBootState;
use Cobblestone\Quantity\Bytes;
use Tests\Support\Demo;

it('gives a model back as its entry says it', function () {
    $models = Demo::catalogue()->machines();
    expect(count($models))->toBeGreaterThan(5);
    foreach ($models as $model) {
        expect(MachineModel::fromArray($model->toArray()))->toEqual($model);
    }
});

it('gives a battery back, with what most have where nobody has said', function () {
    $told = ['design_wh' => 52.5, 'draw_w' => 12.5, 'health' => 0.9, 'usable' => 0.8];
    expect(Battery::fromArray($told)->toArray())->toBe($told)
        ->and(Battery::fromArray(['design_wh' => 40])->toArray())
        ->toBe(['design_wh' => 40, 'health' => 1.0, 'usable' => 0.9]);
});

it('takes a socket for the usual one where nobody has said more', function () {
    $port = ['id' => 'a', 'connector' => 'usb-a', 'where' => 'rear, upper'];
    $usual = Port::fromArray($port);
    expect([$usual->megabitsPerSecond, $usual->charges, $usual->side, $usual->along])->toBe([5000, false, '', null])
        ->and($usual->isFront())->toBeFalse();
    foreach (['front', 'rear', 'left', 'right', 'top', 'bottom'] as $side) {
        $told = [...$port, 'megabits_per_second' => 480, 'charges' => true, 'side' => $side, 'along' => 1];
        $read = Port::fromArray($told);
        expect([$read->megabitsPerSecond, $read->charges, $read->side, $read->along])->toBe([480, true, $side, 1.0])
            ->and($read->isFront())->toBe($side === 'front')->and(Port::fromArray($read->toArray()))->toEqual($read);
    }
    expect(Port::fromArray(['where' => 'front, lower'] + $port)->isFront())->toBeTrue()
        ->and(Port::fromArray(['connector' => 'usb-c'] + $port)->connector)->toBe('usb-c')
        ->and(fn () => Port::fromArray(['connector' => 'round'] + $port))->toThrow(Exception::class);
});

it('keeps the trials of a way in, and takes in a new one that worked', function () {
    $ways = WaysIn::fromArray([
        'setup' => ['how' => 'tap', 'key' => 'F2'], 'menu' => [['how' => 'tap', 'key' => 'F12']],
    ]);
    $worked = $ways->tried('setup', 'tap F2', true)->tried('setup', 'tap F2', true)->tried('setup', 'tap F2', false);
    expect([$worked->setup[0]->confirmed, $worked->setup[0]->missed])->toBe([2, 1])
        ->and($worked->setup)->toHaveCount(1)->and($worked->menu)->toEqual($ways->menu);
    $new = $ways->tried('recovery', 'hold volume up + power', true);
    expect($new->recovery)->toEqual([new KnownWay('hold', 'volume up', 'power', 5, 1)])
        ->and($new->setup)->toEqual($ways->setup)
        ->and($ways->tried('menu', 'tap F9', true)->menu[1])->toEqual(new KnownWay('tap', 'F9', confirmed: 1))
        ->and($ways->tried('menu', 'tap F9', false))->toEqual($ways)
        ->and($ways->tried('menu', 'wave at it', true))->toEqual($ways)
        ->and(WaysIn::fromArray($new->toArray()))->toEqual($new);
});

it('says a way in, and knows when there is none', function () {
    $held = new KnownWay('hold', 'volume up', 'power', 4);
    expect([$held->name(), $held->spoken(), $held->isHeld()])
        ->toBe(['hold volume up + power', 'Hold volume up, press power, 4 s', true]);
    $tap = KnownWay::tap('F2');
    expect([$tap->name(), $tap->spoken(), $tap->isHeld()])->toBe(['tap F2', 'Tap F2', false])
        ->and((new WaysIn)->isEmpty())->toBeTrue();
    foreach (['setup', 'menu', 'recovery'] as $reaches) {
        $one = new WaysIn(...[$reaches => [$tap]]);
        expect($one->isEmpty())->toBeFalse()->and($one->to($reaches))->toBe([$tap]);
    }
});

it('names a drive by everything that is known of it', function (Drive $drive, string $full, string $target) {
    expect(DriveWords::full($drive))->toBe($full)->and(DriveWords::target($drive))->toBe($target);
})->with(function () {
    $size = Bytes::of(2_000_398_934_016);
    $part = fn (?string $label) => new Partition(1, Bytes::of(512), label: $label);
    $named = ['sda', $size, 'KB-9917-4402', 'Kelpbed 2T'];
    $start = 'sda · Kelpbed 2T · 2.0 TB · ';

    $four = [$part('Timetables'), $part('A'), $part('B'), $part('C')];
    $two = [$part(null), $part(null)];
    $labelled = ' · SATA socket · holds Timetables, A, B';
    $twin = ', which another drive reports too · NVMe slot · 2 partitions';
    $same = static fn (Drive $drive, string $words): array => [$drive, $words, $words];

    return [
        [
            new Drive(...$named, transport: 'sata', table: 'gpt', partitions: $four),
            "{$start}serial KB-9917-4402{$labelled}", "{$start}serial KB-9917-••••{$labelled}",
        ],
        [
            new Drive(...$named, transport: 'nvme', serialRepeated: true, table: 'gpt', partitions: $two),
            "{$start}serial KB-9917-4402{$twin}", "{$start}serial KB-9917-••••{$twin}",
        ],
        $same(
            new Drive('sdb', $size, wwn: '0x5000', transport: 'usb', detailed: false),
            'sdb · 2.0 TB · no serial, WWN 0x5000 · USB socket · contents not read',
        ),
        $same(new Drive('sdc', $size, transport: 'ata'), 'sdc · 2.0 TB · no serial · ATA socket · blank'),
        $same(
            new Drive('sdd', $size, transport: 'sas', table: 'gpt'),
            'sdd · 2.0 TB · no serial · SAS socket · contents not shown',
        ),
        $same(new Drive('mmc0', $size, transport: 'mmc'), 'mmc0 · 2.0 TB · no serial · soldered or card · blank'),
    ];
});

it('says a size in every unit an installer may count in', function () {
    expect(DriveWords::sizes(Bytes::of(2_000_398_934_016)))->toBe([
        'bytes' => "2\u{a0}000\u{a0}398\u{a0}934\u{a0}016", 'GB' => '2000.4', 'GiB' => '1863.0', 'TiB' => '1.819',
    ]);
});

it('tells whether Secure Boot is in force, and why', function (array $facts, ?bool $is, string $because) {
    $named = [];
    foreach ($facts as $name => $value) {
        $named["firmware.{$name}"] = $value;
    }
    $state = SecureBootState::fromValues($named);
    expect($state->inForce)->toBe($is)->and($state->because)->toContain($because);
})->with([
    [['kind' => 'bios', 'secure_boot' => 'on'], false, 'does not know it'],
    [[], null, 'Nobody has looked'],
    [['secure_boot' => 'off', 'key_mode' => 'setup'], false, 'is off'],
    [['secure_boot' => 'on', 'key_mode' => 'setup'], false, 'no platform key'],
    [['secure_boot' => 'on', 'older_devices' => 'allowed'], false, 'older devices are allowed'],
    [['secure_boot' => 'on', 'boot_mode' => 'both'], false, 'UEFI alone'],
    [['secure_boot' => 'on', 'boot_mode' => 'legacy'], false, 'UEFI alone'],
    [['secure_boot' => 'on', 'boot_mode' => 'uefi', 'key_mode' => 'custom'], true, 'nothing that is known'],
    [['secure_boot' => 'on', 'kind' => 'uefi'], true, 'nothing that is known stands against'],
]);

it('reads whether a firmware counts transfers, which few do', function () {
    $read = static fn (array $firmware) => FirmwareModel::read(Fields::of(['kind' => 'uefi', ...$firmware]));
    expect($read([])->multiplierCountsTransfers)->toBeFalse()
        ->and($read(['multiplier_counts_transfers' => true])->multiplierCountsTransfers)->toBeTrue();
});
