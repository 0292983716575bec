<?php

use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\LayoutBuilder;
use Cobblestone\Storage\PartitionRequest;
use Cobblestone\Storage\PartitionType;
use Cobblestone\Storage\Reading\ReadPartition;
use Cobblestone\Storage\Reading\StringSource;
use Cobblestone\Storage\Reading\TableReader;
use Cobblestone\Storage\Scheme;
use Cobblestone\Storage\SectorSize;
use Tests\Support\Images;
use Tests\Support\Tables;

function readTable(string $bytes, bool $nested = false): Cobblestone\Storage\Reading\TableReading
{
    return TableReader::read(new StringSource($bytes), $nested);
}

it('reads back every partition that was written', function (Scheme $scheme, SectorSize $sector) {
    $layout = Tables::layout($scheme, $sector);
    $table = readTable(Tables::bytes($layout));
    expect($table->scheme)->toBe($scheme->value)
        ->and($table->sector)->toBe($scheme === Scheme::Gpt ? $sector->value : 512)
        ->and($table->faults)->toBe([])->and($table->notes)->toBe([])
        ->and($table->hybrid)->toBeFalse()->and($table->bootCode)->toBeFalse()
        ->and(array_map(fn (ReadPartition $p) => [$p->number, $p->first, $p->sectors], $table->partitions))
        ->toBe(array_map(fn ($p) => [$p->number, $p->extent->first, $p->extent->count], $layout->partitions));
    if ($scheme === Scheme::Gpt) {
        expect($table->gptCopy)->toBe('primary')->and($table->diskGuid)->toBe($layout->diskGuid->text)
            ->and(array_column($table->partitions, 'name'))->toBe(['EFI system', 'système', 'rest'])
            ->and(array_column($table->partitions, 'type'))->toBe(array_map(
                fn ($p) => $p->type->guid(),
                $layout->partitions,
            ))
            ->and($table->partitions[1]->guid)->toBe($layout->partitionGuid($layout->partitions[1])->text);
    } else {
        expect(array_column($table->partitions, 'type'))->toBe(['0xEF', '0x83', '0x07'])
            ->and(array_column($table->partitions, 'active'))->toBe([false, false, true]);
    }
})->with([[Scheme::Gpt, SectorSize::B512], [Scheme::Gpt, SectorSize::B4096], [Scheme::Mbr, SectorSize::B512]]);

it('falls back on the copy at the end and says so', function (SectorSize $sector, int $offset, string $why) {
    $layout = Tables::layout(Scheme::Gpt, $sector);
    $bytes = Tables::bytes($layout);
    $at = $sector->value + $offset;
    $bytes[$at] = chr(ord($bytes[$at]) ^ 0x40);
    $table = readTable($bytes);
    expect($table->gptCopy)->toBe('backup')
        ->and($table->partitions)->toHaveCount(3)
        ->and($table->sector)->toBe($sector->value)
        ->and($table->faults)->toBe([
            "The GPT at the start is damaged: {$why}. Its copy at the end is whole and was used.",
        ]);
})->with([
    [SectorSize::B512, 0, 'there is no header'],
    [SectorSize::B512, 17, 'its checksum does not match'],
    [SectorSize::B512, 60, 'its checksum does not match'],
    [SectorSize::B512, 512 + 5, 'the checksum of its entries does not match'],
    [SectorSize::B4096, 0, 'there is no header'],
    [SectorSize::B4096, 4096 + 40, 'the checksum of its entries does not match'],
]);

it('names what is wrong with a header whose checksum holds', function (int $at, string $value, string $why) {
    $bytes = Tables::bytes(Tables::layout(Scheme::Gpt));
    $header = substr_replace(substr($bytes, 512, 92), $value, $at, strlen($value));
    $size = unpack('V', $header, 12)[1];
    $whole = str_pad(substr_replace($header, "\0\0\0\0", 16, 4), max(92, min($size, 512)), "\0");
    $header = substr_replace($header, pack('V', crc32(substr($whole, 0, $size))), 16, 4);
    expect(readTable(substr_replace($bytes, $header, 512, 92))->faults[0])
        ->toBe("The GPT at the start is damaged: {$why}. Its copy at the end is whole and was used.");
})->with([
    [12, pack('V', 91), 'it states a header of 91 bytes'],
    [12, pack('V', 513), 'it states a header of 513 bytes'],
    [24, pack('P', 2), 'it states that it stands in sector 2'],
    [84, pack('V', 120), 'it states entries of 120 bytes'],
    [84, pack('V', 192), 'it states entries of 192 bytes'],
    [80, pack('V', 0), 'it states 0 entries'],
    [80, pack('V', 8193), 'it states 8193 entries'],
    [72, pack('P', 0), 'its entries stand outside the device'],
    [72, pack('P', 131_073), 'its entries stand outside the device'],
    [88, pack('V', 1), 'the checksum of its entries does not match'],
]);

it('tells a damaged end from a missing one', function () {
    $bytes = Tables::bytes(Tables::layout(Scheme::Gpt));
    $end = strlen($bytes) - 512;
    expect(readTable(substr_replace($bytes, "\0", $end, 1))->faults)
        ->toBe(["The GPT's copy at the end is damaged: there is no header."])
        ->and(readTable(substr($bytes, 0, 40 * 1_048_576))->faults)
        ->toBe([
            'The GPT expects its copy in sector 131071, but the last one here is 81919: the end is missing.',
            'Partition 3 ends in sector 129023, past the last usable one, 81919.',
        ])
        ->and(readTable(substr_replace(
            substr_replace($bytes, "\0", $end, 1),
            "\0",
            512,
            1,
        )))->scheme->toBe('mbr')->faults->toBe(
            [
                'The MBR announces a GPT, but neither copy is whole: at the start there is no header, at the end '
                    .'there is no header.',
            ],
        );
});

it('takes a copy that stands where the first one says, on a larger stick', function () {
    $table = readTable(Tables::bytes(Tables::layout(Scheme::Gpt)).str_repeat("\0", 1_048_576));
    expect($table->faults)->toBe([])
        ->and($table->notes)->toBe([
            'The GPT\'s copy does not stand at the end of the device: the image is smaller than what it was written '
                .'to.',
        ]);
});

it('tells two copies that disagree, a GPT that nothing announces, and a hybrid', function () {
    $layout = Tables::layout(Scheme::Gpt);
    $bytes = Tables::bytes($layout);
    $other = Tables::bytes(LayoutBuilder::build(
        Scheme::Gpt,
        SectorSize::B512,
        Bytes::mebi(64),
        [new PartitionRequest('one', PartitionType::BasicData)],
        'reader',
    ));
    $mixed = substr($bytes, 0, 32 * 1_048_576).substr($other, 32 * 1_048_576);
    expect(readTable($mixed)->faults)->toBe([
        'The two copies of the GPT describe different partitions; the one at the start was used.',
    ])
        ->and(readTable(substr_replace($bytes, "\0\0", 510, 2))->faults)
        ->toBe(['There is a GPT without a protective MBR: firmware may not take it for one.']);
    $hybrid = substr_replace($bytes, "\0\0\0\0\x0C\0\0\0".pack('VV', 2048, 20_480), 462, 16);
    expect(readTable($hybrid))->hybrid->toBeTrue()->scheme->toBe('gpt')->notes->toBe([
        'The MBR is hybrid: it lists partitions of its own beside the protective one.',
    ]);
    $beside = substr_replace($bytes, "\0\0\0\0\x0C\0\0\0".pack('VV', 2048, 20_480), 446, 16);
    expect(readTable($beside))->scheme->toBe('mbr')->notes->toBe([
        'A GPT stands beside an MBR that does not announce it: firmware goes by the MBR.',
    ]);
});

it('follows logical partitions, and a chain that bites its tail only once', function () {
    $disk = Tables::mbr(
        [['type' => 0x83, 'first' => 1, 'count' => 5, 'flag' => 0x80], ['type' => 0x0F, 'first' => 10, 'count' => 90]],
        65_536,
        'code',
    );
    $link = fn (int $first, ?int $next) => substr(
        Tables::mbr([
            ['type' => 0x07, 'first' => 1, 'count' => $first],
            ['type' => $next === null ? 0 : 5, 'first' => $next ?? 0, 'count' => 20],
        ]),
        0,
        512,
    );
    $put = fn (string $disk, array $links) => array_reduce(
        array_keys($links),
        fn ($d, $at) => substr_replace($d, $links[$at], $at * 512, 512),
        $disk,
    );
    $read = readTable($put($disk, [10 => $link(4, 20), 30 => $link(6, null)]));
    expect(array_map(fn ($p) => [$p->number, $p->first, $p->sectors], $read->partitions))
        ->toBe([[1, 1, 5], [2, 10, 90], [5, 11, 4], [6, 31, 6]])
        ->and($read->faults)->toBe([])->and($read->bootCode)->toBeTrue()->and($read->volumes())->toHaveCount(3)
        ->and(readTable($put($disk, [10 => $link(4, 20), 30 => $link(6, 0)]))->faults)
        ->toBe(['The chain of logical partitions leads back to sector 10: it was followed once.'])
        ->and(readTable($put($disk, [10 => $link(4, 40)]))->faults)
        ->toBe(['The chain of logical partitions breaks off at sector 50.']);
});

it('names partitions that overlap, are empty, or lie outside', function () {
    $table = Tables::mbr([
        ['type' => 0x83, 'first' => 1, 'count' => 60],
        ['type' => 0x83, 'first' => 60, 'count' => 40],
        ['type' => 0x83, 'first' => 110, 'count' => 0],
        ['type' => 0x0C, 'first' => 128, 'count' => 2],
    ]);
    expect(readTable($table)->faults)->toBe([
        'Partition 3 has no sectors.', 'Partition 4 begins in sector 128, outside what the table may use.',
        'Partitions 1 and 2 overlap.',
    ])
        ->and(readTable($table, true)->faults)->toBe([
            'Partition 3 has no sectors.',
            'Partition 4 begins in sector 128, outside what the table may use.',
        ])
        ->and(
            readTable(Tables::mbr([
                ['type' => 0x83, 'first' => 1, 'count' => 60],
                ['type' => 0x83, 'first' => 61, 'count' => 68],
            ]))->faults,
        )
        ->toBe(['Partition 2 ends in sector 128, past the last usable one, 127.'])
        ->and(
            readTable(Tables::mbr([
                ['type' => 0x83, 'first' => 1, 'count' => 60],
                ['type' => 0x83, 'first' => 61, 'count' => 67],
            ]))->faults,
        )
        ->toBe([]);
});

it('sees no table where there is none', function () {
    expect(readTable(str_repeat("\0", 4096))->scheme)->toBe('none')
        ->and(readTable('')->scheme)->toBe('none')
        ->and(readTable('short')->scheme)->toBe('none')
        ->and(readTable(Tables::mbr([['type' => 0x83, 'first' => 1, 'count' => 60, 'flag' => 0x41]]))->scheme)
        ->toBe('none')
        ->and(TableReader::read(Images::source('fat16.img')))->scheme->toBe('none')->bootCode->toBeTrue()->notes->toBe(
            ['A file system begins in sector 0: there is no partition table.'],
        );
});

it('agrees with the tables that Debian\'s tools made', function () {
    $disk = TableReader::read(Images::source('disk-gpt.img'));
    expect($disk->scheme)->toBe('gpt')->and($disk->faults)->toBe([])
        ->and(array_map(
            fn ($p) => [$p->number, $p->first, $p->last(), $p->name, $p->typeTitle(), $p->isEfiSystem()],
            $disk->partitions,
        ))
        ->toBe([
            [1, 2048, 6143, 'start', 'EFI system', true],
            [2, 6144, 8191, 'installer', 'Linux filesystem', false],
        ]);
    // As `sfdisk --dump` reads it: the GPT beside is not announced, so it goes by the MBR.
    $hybrid = TableReader::read(Images::source('hybrid-gpt.iso'), true);
    expect($hybrid->scheme)->toBe('mbr')
        ->and($hybrid->faults)->toBe([])
        ->and(array_map(fn ($p) => [$p->number, $p->first, $p->sectors, $p->type], $hybrid->partitions))
        ->toBe([[2, 140, 400, '0xEF']]);
});

it('never leaves the numbers, whatever a field claims', function () {
    $layout = Tables::layout(Scheme::Gpt);
    $bytes = Tables::bytes($layout);
    $entries = substr_replace(substr($bytes, 1024, 16_384), str_repeat("\xFF", 16), 32, 16);
    $entries = substr_replace($entries, pack('PP', 5, PHP_INT_MAX), 128 + 32, 16);
    $header = substr_replace(substr($bytes, 512, 92), pack('V', crc32($entries)), 88, 4);
    $header = substr_replace($header, pack('V', crc32(substr_replace($header, "\0\0\0\0", 16, 4))), 16, 4);
    $table = readTable(substr_replace(substr_replace($bytes, $entries, 1024, 16_384), $header, 512, 92));
    expect($table->partitions[0]->first)->toBe(1 << 50)
        ->and($table->partitions[1]->sectors)->toBe((1 << 50) - 4)
        ->and(count($table->faults))->toBeGreaterThan(2)
        ->and($table->open($table->partitions[0], new StringSource($bytes))->size())->toBe(0);
});
