<?php

use Cobblestone\Machine\Certainty;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Partition;
use Cobblestone\Machine\Source;
use Cobblestone\Quantity\Bytes;

it('holds an unseen fact as unknown, never as a guess', function () {
    $fact = FactSheet::empty()->get('firmware.boot_mode');
    expect($fact->certainty)
        ->toBe(Certainty::Unknown)
        ->and($fact->value)
        ->toBeNull()
        ->and($fact->spoken())
        ->toBe('unknown')
        ->and($fact->isUnknown())
        ->toBeTrue()
        ->and($fact->isKnown())
        ->toBeFalse();
});

it('lets a reading outrank the catalogue in any order, and says so', function (
    Source $first,
    Source $second,
    string $kept,
    int $contradictions,
) {
    $sheet = FactSheet::empty()
        ->with(Fact::of('x', 'first', $first, 'a'))
        ->with(Fact::of('x', 'second', $second, 'b'));
    expect($sheet->get('x')->value)->toBe($kept)->and($sheet->contradictions)->toHaveCount($contradictions);
    if ($contradictions > 0) {
        expect($sheet->contradictions[0]->kept->value)
            ->toBe($kept)
            ->and($sheet->contradictions[0]->setAside->value)
            ->not->toBe($kept);
    }
})->with([
    [Source::Catalogue, Source::Reading, 'second', 1],
    [Source::Reading, Source::Catalogue, 'first', 1],
    [Source::Person, Source::Reading, 'second', 1],
    [Source::Reading, Source::Person, 'second', 1],
    [Source::KindDefault, Source::Catalogue, 'second', 0],
    [Source::Catalogue, Source::KindDefault, 'first', 0],
    [Source::KindDefault, Source::Person, 'second', 0],
]);

it('finds no contradiction where both say the same', function () {
    $sheet = FactSheet::empty()
        ->with(Fact::of('x', 'same', Source::Catalogue, 'a'))
        ->with(Fact::of('x', 'same', Source::Person, 'b'));
    expect($sheet->contradictions)
        ->toBe([])
        ->and($sheet->get('x')->origin)
        ->toBe('b')
        ->and($sheet->get('x')->isKnown())
        ->toBeTrue();
});

it('replaces an unknown fact without a word and lists facts by name', function () {
    $sheet = FactSheet::empty()
        ->with(Fact::unknown('b'))
        ->with(Fact::of('b', 3, Source::Reading, 'tool', '09:10'))
        ->with(Fact::of('a', true, Source::Catalogue, 'file'));
    expect($sheet->contradictions)
        ->toBe([])
        ->and(array_column($sheet->toArray(), 'name'))
        ->toBe(['a', 'b'])
        ->and($sheet->toArray()[1])
        ->toBe([
            'name' => 'b',
            'value' => 3,
            'certainty' => 'known',
            'source' => 'reading',
            'origin' => 'tool',
            'at' => '09:10',
        ]);
});

it('says values as a person does', function (mixed $value, string $spoken) {
    expect(Fact::of('x', $value, Source::Person, 'a')->spoken())->toBe($spoken);
})->with([[true, 'yes'], [false, 'no'], [['a', 'b'], 'a, b'], [12, '12'], ['both', 'both']]);

it('names a drive by serial and exact bytes together', function (Drive $a, Drive $b, bool $same) {
    expect($a->isSameDeviceAs($b))->toBe($same);
})->with(function () {
    $drive = fn (?string $serial, int $bytes, bool $repeated = false) => new Drive(
        'sda',
        Bytes::of($bytes),
        $serial,
        serialRepeated: $repeated,
    );

    return [
        'both equal' => [$drive('A1', 1000), $drive('A1', 1000), true],
        'one byte off' => [$drive('A1', 1000), $drive('A1', 1001), false],
        'other serial' => [$drive('A1', 1000), $drive('A2', 1000), false],
        'no serial' => [$drive(null, 1000), $drive(null, 1000), false],
        'repeated serial' => [$drive('A1', 1000, true), $drive('A1', 1000, true), false],
    ];
});

it('calls a drive blank only from a reading that could see', function () {
    expect((new Drive('sda', Bytes::of(9)))->isBlank())
        ->toBeTrue()
        ->and((new Drive('sda', Bytes::of(9), detailed: false))->isBlank())
        ->toBeFalse()
        ->and((new Drive('sda', Bytes::of(9), table: 'gpt'))->isBlank())
        ->toBeFalse()
        ->and((new Drive('sda', Bytes::of(9), wholeFileSystem: 'ext4'))->isBlank())
        ->toBeFalse()
        ->and((new Drive('sda', Bytes::of(9), partitions: [new Partition('sda1', Bytes::of(1))]))->isBlank())
        ->toBeFalse();
});

it('sums what is in use only when every partition says it', function () {
    $used = fn (?int $a, ?int $b) => (new Drive(
        'sda',
        Bytes::of(99),
        partitions: [
            new Partition('1', Bytes::of(9), used: $a === null ? null : Bytes::of($a)),
            new Partition('2', Bytes::of(9), used: $b === null ? null : Bytes::of($b)),
        ],
    ))->used()?->count;
    expect($used(3, 4))
        ->toBe(7)
        ->and($used(3, null))
        ->toBeNull()
        ->and((new Drive('sda', Bytes::of(99)))->used())
        ->toBeNull();
});

it('tells inside from outside', function (?string $transport, bool $removable, bool $internal) {
    expect((new Drive('sda', Bytes::of(1), transport: $transport, removable: $removable))->isInternal())->toBe(
        $internal,
    );
})->with([
    ['nvme', false, true],
    ['sata', false, true],
    ['usb', false, false],
    ['sata', true, false],
    [null, false, true],
    ['ieee1394', false, false],
]);

it('names a partition by label, else by what it is', function (Partition $partition, string $title) {
    expect($partition->title())->toBe($title);
})->with([
    [new Partition('a', Bytes::of(1), label: 'Old system', fileSystem: 'ntfs'), 'Old system'],
    [new Partition('a', Bytes::of(1), encrypted: true), 'encrypted volume'],
    [new Partition('a', Bytes::of(1), type: 'c12a7328-f81f-11d2-ba4b-00a0c93ec93b'), 'EFI system'],
    [new Partition('a', Bytes::of(1), fileSystem: 'xfs'), 'xfs'],
    [new Partition('a', Bytes::of(1)), 'unnamed'],
]);
