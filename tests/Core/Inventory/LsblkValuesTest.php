<?php

use Cobblestone\Inventory\LsblkReader;

it('names a drive by what there is', function (array $entry, string $path) {
    $notes = implode(
        ' ',
        LsblkReader::read(lsblkOf(
            ['name' => 'sda', 'size' => 5, 'type' => 'disk'],
            [...$entry, 'size' => 0, 'type' => 'disk'],
        ))->notes,
    );
    expect($notes)->toBe("{$path}: 0 bytes, a reader with no medium in it; left out.");
})->with([
    [['name' => 'sdx', 'kname' => 'sdy'], 'sdx'],
    [['kname' => 'sdy'], 'sdy'],
    [['name' => '  '], 'entry 2'],
    [['name' => ' sdz '], 'sdz'],
    [['name' => 7], '7'],
]);

it('reads flags of every version', function (mixed $flag, bool $removable) {
    expect(
        LsblkReader::read(lsblkOf([
            'name' => 'sda',
            'size' => 5,
            'type' => 'disk',
            'rm' => $flag,
        ]))->drives[0]->removable,
    )
        ->toBe($removable);
})->with([
    [true, true],
    [1, true],
    ['1', true],
    ['true', true],
    [false, false],
    [0, false],
    ['0', false],
    ['', false],
    [null, false],
    [2, false],
]);

it('takes no flag for fixed', function () {
    expect(LsblkReader::read(lsblkOf(['name' => 'sda', 'size' => 5, 'type' => 'disk']))->drives[0]->removable)
        ->toBeFalse();
});

it('reads sizes of up to eighteen digits', function (mixed $size, ?int $bytes) {
    $drives = LsblkReader::read(lsblkOf(['name' => 'sda', 'size' => $size, 'type' => 'disk']))->drives;
    expect($drives === [] ? null : $drives[0]->size->count)->toBe($bytes);
})->with([
    [' 512 ', 512],
    ['123456789012345678', 123456789012345678],
    ['1234567890123456789', null],
    ['0x10', null],
    [1, 1],
    [true, null],
]);

it('reads numbers beside the size the same way, or not at all', function (mixed $start, ?int $sector) {
    $drive = LsblkReader::read(lsblkOf([
        'name' => 'sda',
        'size' => 9000,
        'type' => 'disk',
        'children' => [['name' => 'sda1', 'size' => 5, 'start' => $start]],
    ]))->drives[0];
    expect($drive->partitions[0]->startSector)->toBe($sector);
})->with([
    [2048, 2048],
    ['2048', 2048],
    ['123456789012345', 123456789012345],
    ['1234567890123456789', null],
    ['many', null],
    [null, null],
    [[1], null],
]);

it('shows thirty characters of a size it cannot use and 120 of a name', function () {
    $reading = LsblkReader::read(lsblkOf([
        'name' => str_repeat('n', 130),
        'size' => str_repeat('s', 40),
        'type' => 'disk',
    ]));
    expect($reading->notes[0])->toBe(str_repeat('n', 120).': size "'.str_repeat('s', 30).'" is not a number of bytes.');
});

it('takes a whole drive with a file system or a mount for used', function (array $more, ?string $system) {
    expect(
        LsblkReader::read(lsblkOf([
            'name' => 'sda',
            'size' => 5,
            'type' => 'disk',
            ...$more,
        ]))->drives[0]->wholeFileSystem,
    )
        ->toBe($system);
})->with([
    [['fstype' => 'ext4', 'mountpoint' => '/'], 'ext4'],
    [['mountpoint' => '/'], 'in use'],
    [['fsused' => 5], 'in use'],
    [[], null],
]);

it('reads lists that are keyed as lists', function () {
    $text = '{"blockdevices": {"a": {"name": "sda", "size": 5, "type": "disk", "children": {"x": {"name": "sda1", '
        .'"size": 1}}}}}';
    $reading = LsblkReader::read($text);
    expect($reading->drives[0]->partitions[0]->name)->toBe('sda1');
    expect(array_is_list($reading->drives))->toBeTrue();
});
