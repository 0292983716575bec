<?php

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\ImageFiles;
use Cobblestone\Catalogue\InstallPhase;
use Cobblestone\Catalogue\LargestFile;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Install\InstallPace;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Tests\Support\Demo;

/** @param  list<Port>  $ports */
function paceOf(array $ports, ?string $transport, float $readMbS = 100, string $connector = 'usb-a'): InstallPace
{
    $stick = Stick::fromArray([
        ...Demo::catalogue()->sticks(null)[0]->toArray(), 'read_mb_s' => $readMbS, 'connector' => $connector,
    ]);
    $files = new ImageFiles(10, 1, 6_000_000_000, new LargestFile('a', 1000));

    return InstallPace::of(
        new Machine('Mole', Kind::Laptop, FactSheet::empty(), ports: $ports),
        new Image('i', 'Image', 'i.iso', 6_200_000_000, 'optical', files: $files),
        $stick,
        $transport === null ? null : new Drive('/dev/x', Bytes::of(64_000_000_000), transport: $transport),
        Policy::of(),
    );
}

function socketOf(int $megabits, string $connector = 'usb-a'): Port
{
    return new Port('p', $connector, 'left', $megabits);
}

it('takes the bytes of the image through the slowest part, and names it', function (
    array $ports,
    ?string $transport,
    float $read,
    float $unpacks,
    int $seconds,
    string $slowest,
) {
    $pace = paceOf($ports, $transport, $read);
    $phase = new InstallPhase('Copy', [1, 2, 3], false, unpacksMbS: $unpacks);
    expect($pace->estimate($phase)->likely->seconds)->toBe($seconds)
        ->and($pace->because($phase, 'a day')->text)->toContain("{$slowest} sets the pace.");
})->with([
    'unpacking' => [[socketOf(5000)], 'nvme', 100, 5, 1200, 'unpacking'],
    'the stick' => [[socketOf(5000)], 'nvme', 4, 5, 1500, 'the stick'],
    'a stick as quick as the unpacking' => [[socketOf(5000)], 'nvme', 5, 5, 1200, 'unpacking'],
    'the socket' => [[socketOf(480)], 'nvme', 100, 200, 172, 'the machine\'s socket'],
    'the quickest socket' => [[socketOf(480), socketOf(10000)], 'nvme', 1000, 2000, 8, 'the machine\'s drive'],
    'a socket between' => [[socketOf(5000)], null, 1000, 2000, 15, 'the machine\'s socket'],
    'only the socket that takes it' => [[socketOf(480), socketOf(10000, 'usb-c')], 'nvme', 100, 200, 172, 'socket'],
    'a drive on a cable' => [[socketOf(10000)], 'sata', 500, 500, 55, 'the machine\'s drive'],
    'a soldered drive' => [[socketOf(10000)], 'mmc', 500, 500, 100, 'the machine\'s drive'],
    'a drive nobody read' => [[], null, 60, 500, 100, 'the stick'],
]);

it('counts a restart where the phase ends with one', function () {
    $pace = paceOf([socketOf(5000)], 'nvme');
    $phase = new InstallPhase('Copy', [1, 2, 3], true, unpacksMbS: 5);
    expect($pace->estimate($phase)->likely->seconds)->toBe(1245)
        ->and($pace->because($phase, 'a day')->text)->toContain('and a restart of about 45 s.');
});

it('keeps the catalogue\'s minutes where nobody described the pace', function () {
    $phase = new InstallPhase('First start', [1, 2, 3], true);
    expect(paceOf([], 'nvme')->estimate($phase)->likely->inMinutes())->toBe(2.0)
        ->and(paceOf([], 'nvme')->because($phase, 'a day')->toArray())->toBe([
            'text' => '1 min to 3 min by the catalogue; what sets the pace, it does not say.',
            'rule' => 'I5',
            'source' => 'a day',
        ]);
});
