<?php

use Cobblestone\Inventory\LsblkReader;
use Cobblestone\Inventory\UnreadableInventory;

it('reads the form of newer versions with all columns', function () {
    $reading = LsblkReader::read(lsblkOf([
        'name' => 'nvme0n1', 'size' => 256060514304, 'type' => 'disk', 'rm' => false, 'serial' => 'SM3-2207',
        'model' => 'Saltmarsh', 'tran' => 'nvme', 'log-sec' => 512, 'phy-sec' => 4096, 'pttype' => 'gpt',
        'mountpoints' => [null], 'children' => [
            [
                'name' => 'nvme0n1p1',
                'size' => 104857600,
                'type' => 'part',
                'start' => 2048,
                'fstype' => 'vfat',
                'label' => 'START',
                'fsused' => '29360128',
                'mountpoints' => ['/boot', null],
            ],
        ]]));
    [$drive] = $reading->drives;
    expect($drive->path)->toBe('nvme0n1')
        ->and($drive->size->count)->toBe(256060514304)
        ->and($drive->serial)->toBe('SM3-2207')
        ->and($drive->model)->toBe('Saltmarsh')
        ->and($drive->transport)->toBe('nvme')
        ->and($drive->physicalSector)->toBe(4096)
        ->and($drive->table)->toBe('gpt')
        ->and($drive->detailed)->toBeTrue()
        ->and($reading->notes)->toBe([]);
    [$part] = $drive->partitions;
    expect($part->startSector)->toBe(2048)
        ->and($part->fileSystem)->toBe('vfat')
        ->and($part->label)->toBe('START')
        ->and($part->used?->count)->toBe(29360128)
        ->and($part->mountpoints)->toBe(['/boot'])
        ->and($part->encrypted)->toBeFalse();
});

it('reads the form of older versions: text sizes, text flags, one mountpoint', function () {
    $reading = LsblkReader::read(lsblkOf([
        'name' => 'sda',
        'maj:min' => '8:0',
        'rm' => '1',
        'size' => '16008609792',
        'ro' => '0',
        'type' => 'disk',
        'mountpoint' => null,
        'children' => [['name' => 'sda1', 'size' => '1000', 'type' => 'part', 'mountpoint' => '/mnt']],
    ]));
    expect($reading->drives[0]->removable)->toBeTrue()
        ->and($reading->drives[0]->size->count)->toBe(16008609792)
        ->and($reading->drives[0]->partitions[0]->mountpoints)->toBe(['/mnt'])
        ->and($reading->drives[0]->detailed)->toBeFalse();
});

it('counts starts in the drive\'s own sectors, as lsblk counts in 512 bytes', function () {
    $drive = LsblkReader::read(lsblkOf([
        'name' => 'nvme0n1',
        'size' => 4096000,
        'type' => 'disk',
        'log-sec' => 4096,
        'children' => [['name' => 'p1', 'size' => 4096, 'start' => 2048]],
    ]))->drives[0];
    expect($drive->logicalSector)->toBe(4096)
        ->and($drive->partitions[0]->startSector)->toBe(256)
        ->and($drive->sectors())->toBe(1000);
});

it('sees encryption from the file system or from what is stacked on it', function () {
    $drive = LsblkReader::read(lsblkOf(['name' => 'sda', 'size' => 9000, 'type' => 'disk', 'children' => [
        ['name' => 'a', 'size' => 1, 'fstype' => 'crypto_LUKS'],
        ['name' => 'b', 'size' => 1, 'children' => [['name' => 'm', 'type' => 'crypt', 'size' => 1]]],
        ['name' => 'c', 'size' => 1, 'fstype' => 'ext4'],
    ]]))->drives[0];
    expect(array_map(fn ($part) => $part->encrypted, $drive->partitions))->toBe([true, true, false]);
});

it('leaves single entries out with a note that names them', function (array $device, string $note) {
    $reading = LsblkReader::read(lsblkOf($device, ['name' => 'good', 'size' => 5, 'type' => 'disk']));
    expect($reading->drives)->toHaveCount(1)
        ->and($reading->drives[0]->path)->toBe('good')
        ->and(implode("\n", $reading->notes))->toContain($note);
})->with([
    [['name' => 'loop0', 'size' => 5, 'type' => 'loop'], 'loop0: a loop device'],
    [['name' => 'sr0', 'size' => 5, 'type' => 'rom'], 'sr0: a rom device'],
    [['name' => 'sdc', 'size' => 0, 'type' => 'disk'], 'sdc: 0 bytes'],
    [['name' => 'sdd', 'size' => '238.5G', 'type' => 'disk'], 'with -b'],
    [['name' => 'sde', 'size' => -5, 'type' => 'disk'], 'sde: size "-5" is not a number of bytes'],
    [['name' => 'sdf', 'size' => [1], 'type' => 'disk'], 'sdf: size "a list"'],
    [['name' => 'sdg', 'type' => 'disk'], 'sdg: left out'],
    [['name' => 'sdh', 'size' => '99999999999999999999', 'type' => 'disk'], 'sdh'],
]);

it('notes entries that are no devices, parts larger than their drive and odd sectors', function () {
    $reading = LsblkReader::read(json_encode([
        'blockdevices' => [
            'text',
            [
                'name' => 'sda',
                'size' => 100,
                'type' => 'disk',
                'log-sec' => 520,
                'children' => ['no', ['name' => 'sda1', 'size' => 101], ['name' => 'sda2', 'size' => 'x']],
            ],
        ],
    ]));
    $notes = implode("\n", $reading->notes);
    expect($notes)
        ->toContain('Entry 1 of blockdevices')
        ->toContain('520 bytes are not supported')
        ->toContain('sda: an entry below it')
        ->toContain('sda1: left out, it says it is larger')
        ->toContain('sda2: left out')
        ->and($reading->drives[0]->partitions)->toBe([])
        ->and($reading->drives[0]->logicalSector)->toBe(512);
});

it('trusts no serial that two drives share', function () {
    $reading = LsblkReader::read(lsblkOf(
        ['name' => 'sda', 'size' => 5, 'type' => 'disk', 'serial' => 'X'],
        ['name' => 'sdb', 'size' => 5, 'type' => 'disk', 'serial' => 'X'],
        ['name' => 'sdc', 'size' => 5, 'type' => 'disk', 'serial' => 'Y'],
    ));
    expect(array_map(fn ($drive) => $drive->hasProof(), $reading->drives))->toBe([false, false, true])
        ->and($reading->notes)->toHaveCount(2);
});

it('does not take a missing right to look for a blank drive', function () {
    $blank = ['name' => 'sda', 'size' => 5, 'type' => 'disk', 'pttype' => null, 'fstype' => null];
    expect(LsblkReader::read(lsblkOf($blank))->drives[0]->isBlank())->toBeFalse()
        ->and(
            LsblkReader::read(lsblkOf($blank, [
                'name' => 'sdb',
                'size' => 5,
                'type' => 'disk',
                'pttype' => 'dos',
            ]))->drives[0]
                ->isBlank(),
        )
        ->toBeTrue()
        ->and(
            LsblkReader::read(lsblkOf([...$blank, 'mountpoints' => ['/']], [
                'name' => 'sdb',
                'size' => 5,
                'type' => 'disk',
                'pttype' => 'dos',
            ]))->drives[0]
                ->isBlank(),
        )
        ->toBeFalse();
});

it('refuses a text as a whole with one clear sentence', function (string $text, string $sentence) {
    expect(fn () => LsblkReader::read($text))->toThrow(UnreadableInventory::class, $sentence);
})->with([
    'empty' => ['', 'Nothing was pasted'],
    'blank' => ["  \n", 'Nothing was pasted'],
    'other JSON' => ['{"disks":[]}', 'no list "blockdevices"'],
    'plain text' => ["NAME SIZE\nsda 5G", 'Line 1 is not JSON'],
    'cut off' => ["{\"blockdevices\": [\n{\"name\": \"sda\",", 'Line 2 is not JSON'],
    'bad third line' => ["{\n\"blockdevices\": [\n  oops ]}", 'Line 3 is not JSON (syntax error) near "oops'],
    'binary' => ["\xff\xfe\x00", 'not readable as UTF-8'],
    'blockdevices no list' => ['{"blockdevices": 5}', 'no list "blockdevices"'],
    'too deep' => [str_repeat('[', 100), 'is not JSON'],
]);

it('refuses more text than lsblk ever prints', function () {
    expect(fn () => LsblkReader::read(str_repeat(' ', LsblkReader::LIMIT + 1)))
        ->toThrow(UnreadableInventory::class, 'Paste only what');
});

it('gives the same drives when the same text is read twice', function () {
    $text = lsblkOf([
        'name' => 'sda',
        'size' => 500,
        'type' => 'disk',
        'serial' => 'A',
        'children' => [['name' => 'sda1', 'size' => 100]],
    ]);
    expect(LsblkReader::read($text))->toEqual(LsblkReader::read($text));
});

it('reads the real output of this machine, with and without the extra columns', function (array $columns) {
    exec(implode(' ', array_map(escapeshellarg(...), ['lsblk', '-J', '-b', ...$columns])), $lines, $status);
    expect($status)->toBe(0);
    $reading = LsblkReader::read(implode("\n", $lines));
    foreach (json_decode(implode("\n", $lines), true)['blockdevices'] as $device) {
        $read = array_values(array_filter($reading->drives, fn ($drive) => $drive->path === $device['name']));
        $device['type'] === 'disk'
            && (int) $device['size'] > 0
                ? expect($read[0]->size->count)->toBe((int) $device['size'])
                : expect($read)->toBe([]);
    }
})->with([
    [[]],
    [['-o', '+SERIAL,WWN,MODEL,START,LOG-SEC,PHY-SEC,PTTYPE,PARTTYPE,PARTUUID,FSTYPE,FSUSED,LABEL,TRAN,RM']],
]);
