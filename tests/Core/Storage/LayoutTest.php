<?php

use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Extent;
use Cobblestone\Storage\Guid;
use Cobblestone\Storage\LayoutBuilder;
use Cobblestone\Storage\LayoutImpossible;
use Cobblestone\Storage\PartitionRequest;
use Cobblestone\Storage\PartitionType;
use Cobblestone\Storage\Scheme;
use Cobblestone\Storage\SectorSize;
use Cobblestone\Storage\SfdiskScript;
use Cobblestone\Storage\TableBytes;

function wanted(
    ?int $mebi = null,
    string $fs = 'none',
    PartitionType $type = PartitionType::BasicData,
): PartitionRequest {
    return new PartitionRequest('part', $type, $mebi === null ? null : Bytes::mebi($mebi), $fs);
}

it('keeps every invariant on thousands of random devices', function () {
    mt_srand(20261124);
    $built = 0;
    for ($i = 0; $i < 4000; $i++) {
        $sector = [SectorSize::B512, SectorSize::B4096][mt_rand(0, 1)];
        $scheme = [Scheme::Gpt, Scheme::Mbr][mt_rand(0, 1)];
        $device = Bytes::of(mt_rand(3, 4_000_000) * 1_000_003 + mt_rand(0, 4095));
        $requests = [];
        for ($n = mt_rand(1, $scheme === Scheme::Mbr ? 4 : 7); $n > 0; $n--) {
            $requests[] = wanted(mt_rand(1, 60_000));
        }
        if (mt_rand(0, 1) === 1) {
            $requests[mt_rand(0, count($requests) - 1)] = wanted();
        }
        try {
            $layout = LayoutBuilder::build($scheme, $sector, $device, $requests, 'seed');
        } catch (LayoutImpossible) {
            continue;
        }
        $built++;
        $previous = null;
        foreach ($layout->partitions as $index => $partition) {
            expect($partition->extent->first % $sector->perMebi())->toBe(0)
                ->and($partition->extent->count % $sector->perMebi())->toBe(0)
                ->and($partition->extent->first)->toBeGreaterThanOrEqual(max(
                    $sector->perMebi(),
                    $scheme->firstUsable($sector),
                ))
                ->and($partition->extent->last())->toBeLessThanOrEqual($scheme->lastUsable($sector, $layout->sectors()))
                ->and($previous?->overlaps($partition->extent) ?? false)->toBeFalse();
            if ($requests[$index]->size !== null) {
                expect($sector->bytes($partition->extent->count)->count)
                    ->toBeGreaterThanOrEqual($requests[$index]->size->count);
            }
            $previous = $partition->extent;
        }
    }
    expect($built)->toBeGreaterThan(1000);
});

it('takes whole MiB up to the last one that the backup table leaves', function (
    int $bytes,
    SectorSize $sector,
    Scheme $scheme,
    int $first,
    int $count,
) {
    $extent = LayoutBuilder::build($scheme, $sector, Bytes::of($bytes), [wanted()], 's')->partitions[0]->extent;
    expect([$extent->first, $extent->count])->toBe([$first, $count]);
})->with([
    'GPT, 512' => [64_023_257_088, SectorSize::B512, Scheme::Gpt, 2048, 125_042_688],
    'GPT, 4096' => [64_023_257_088, SectorSize::B4096, Scheme::Gpt, 256, 15_630_336],
    'exactly 4 MiB, MBR takes all' => [4_194_304, SectorSize::B512, Scheme::Mbr, 2048, 6144],
    'exactly 4 MiB, GPT leaves one' => [4_194_304, SectorSize::B512, Scheme::Gpt, 2048, 4096],
    'smallest with room' => [3_145_728, SectorSize::B512, Scheme::Gpt, 2048, 2048],
]);

it('refuses what cannot be, and says the figures', function (Closure $build, string $sentence) {
    expect($build)->toThrow(LayoutImpossible::class, $sentence);
})->with([
    [
        fn () => LayoutBuilder::build(Scheme::Gpt, SectorSize::B512, Bytes::of(1_048_576), [wanted()], 's'),
        'no room for a partition table',
    ],
    [
        fn () => LayoutBuilder::build(Scheme::Gpt, SectorSize::B512, Bytes::mebi(10), [wanted(9)], 's'),
        'it needs 9.0 MiB (9 437 184 B), 8.0 MiB (8 388 608 B) are free',
    ],
    [
        fn () => LayoutBuilder::build(Scheme::Gpt, SectorSize::B512, Bytes::mebi(10), [wanted(8), wanted()], 's'),
        'no room',
    ],
    [
        fn () => LayoutBuilder::build(Scheme::Gpt, SectorSize::B512, Bytes::mebi(10), [wanted(), wanted()], 's'),
        'Only one',
    ],
    [
        fn () => LayoutBuilder::build(
            Scheme::Mbr,
            SectorSize::B512,
            Bytes::mebi(100),
            array_fill(0, 5, wanted(1)),
            's',
        ),
        'holds 4 partitions, 5 are wanted',
    ],
]);

it('fills a device to the last MiB', function () {
    $layout = LayoutBuilder::build(Scheme::Gpt, SectorSize::B512, Bytes::mebi(10), [wanted(7), wanted()], 's');
    expect($layout->partitions[1]->extent->count)->toBe(2048)
        ->and($layout->partitions[1]->extent->first)->toBe(8 * 2048);
});

it('tells how much of a large drive MBR cannot reach', function () {
    expect(Scheme::Mbr->outOfReach(SectorSize::B512, 4_294_967_296)->count)->toBe(0)
        ->and(Scheme::Mbr->outOfReach(SectorSize::B512, 4_294_967_297)->count)->toBe(512)
        ->and(Scheme::Gpt->outOfReach(SectorSize::B512, 9_000_000_000)->count)->toBe(0);
    $layout = LayoutBuilder::build(Scheme::Mbr, SectorSize::B512, Bytes::of(4_000_787_030_016), [wanted()], 's');
    expect($layout->partitions[0]->extent->last() + 1)->toBe(4_294_967_296)
        ->and($layout->toArray()['out_of_reach_bytes'])->toBe(1_801_763_774_464);
});

it('knows the usable sectors of both sector sizes', function () {
    expect([Scheme::Gpt->firstUsable(SectorSize::B512), Scheme::Gpt->lastUsable(SectorSize::B512, 1000)])
        ->toBe([34, 966])
        ->and([Scheme::Gpt->firstUsable(SectorSize::B4096), Scheme::Gpt->lastUsable(SectorSize::B4096, 1000)])
        ->toBe([6, 994])
        ->and([Scheme::Mbr->firstUsable(SectorSize::B512), Scheme::Mbr->lastUsable(SectorSize::B512, 1000)])
        ->toBe([1, 999]);
});

it('stores GUIDs with the first three fields little-endian, and repeats seeded ones', function () {
    expect(bin2hex(Guid::of('C12A7328-F81F-11D2-BA4B-00A0C93EC93B')->bytes()))->toBe('28732ac11ff8d211ba4b00a0c93ec93b')
        ->and(Guid::fromSeed('a')->text)
        ->toBe(Guid::fromSeed('a')->text)->not->toBe(Guid::fromSeed('b')->text)
        ->toMatch('/^[0-9A-F]{8}-[0-9A-F]{4}-8[0-9A-F]{3}-[89AB][0-9A-F]{3}-[0-9A-F]{12}$/');
    expect(fn () => Guid::of('C12A7328'))->toThrow(InvalidArgumentException::class);
});

it('writes both checksums over the bytes that the standard names', function () {
    $layout = LayoutBuilder::build(
        Scheme::Gpt,
        SectorSize::B512,
        Bytes::mebi(64),
        [wanted(8, 'none', PartitionType::EfiSystem), wanted()],
        'crc',
    );
    $bytes = TableBytes::of($layout);
    foreach ([512, ($layout->sectors() - 1) * 512] as $at) {
        $header = substr($bytes[$at], 0, 92);
        expect(unpack('V', $header, 16)[1])->toBe(crc32(substr_replace($header, "\0\0\0\0", 16, 4)))
            ->and(unpack('V', $header, 88)[1])->toBe(crc32($bytes[1024]));
    }
    expect(unpack('P', $bytes[512], 32)[1])->toBe($layout->sectors() - 1)
        ->and(unpack('P', $bytes[($layout->sectors() - 1) * 512], 24)[1])->toBe($layout->sectors() - 1)
        ->and(unpack('P', $bytes[($layout->sectors() - 1) * 512], 72)[1])->toBe($layout->sectors() - 33);
    expect(substr($bytes[0], 510))->toBe("\x55\xAA")
        ->and(ord($bytes[0][450]))->toBe(0xEE)
        ->and(unpack('V2', $bytes[0], 454))->toBe([1 => 1, 2 => $layout->sectors() - 1]);
});

it('caps the protective entry where the device is larger than 32 bits count', function () {
    $layout = LayoutBuilder::build(Scheme::Gpt, SectorSize::B512, Bytes::of(5_000_000_000 * 512), [wanted(1)], 's');
    expect(unpack('V2', TableBytes::of($layout)[0], 454))->toBe([1 => 1, 2 => 0xFFFFFFFF]);
});

it('writes MBR types and the active flag', function () {
    $layout = LayoutBuilder::build(
        Scheme::Mbr,
        SectorSize::B512,
        Bytes::mebi(600),
        [
            new PartitionRequest('a', PartitionType::BasicData, Bytes::mebi(300), 'fat32', active: true),
            wanted(10),
            wanted(10, 'none', PartitionType::LinuxFilesystem),
            wanted(10, 'none', PartitionType::EfiSystem),
        ],
        's',
    );
    $mbr = TableBytes::of($layout)[0];
    expect(array_map(fn (int $i) => ord($mbr[446 + 16 * $i + 4]), [0, 1, 2, 3]))->toBe([0x0C, 0x07, 0x83, 0xEF])
        ->and(ord($mbr[446]))->toBe(0x80)
        ->and(ord($mbr[462]))->toBe(0)
        ->and(SfdiskScript::of($layout))
        ->toContain('label: dos')
        ->toContain('start=2048, size=614400, type=c, bootable')
        ->toContain('type=83');
});

it('keeps names out of the script that could end its quotes', function () {
    $layout = LayoutBuilder::build(
        Scheme::Gpt,
        SectorSize::B512,
        Bytes::mebi(64),
        [new PartitionRequest("evil\", size=1\nstart=2", PartitionType::BasicData)],
        's',
    );
    expect(SfdiskScript::of($layout))->toContain('name="evil size1start2"');
});

it('refuses an extent that is none', function (int $first, int $count) {
    new Extent($first, $count);
})->with([[-1, 1], [0, 0]])->throws(InvalidArgumentException::class);

it('sees overlaps at a single shared sector', function () {
    expect((new Extent(10, 5))->overlaps(new Extent(14, 1)))->toBeTrue()
        ->and((new Extent(10, 5))->overlaps(new Extent(15, 1)))->toBeFalse()
        ->and((new Extent(15, 1))->overlaps(new Extent(10, 5)))->toBeFalse()
        ->and((new Extent(14, 9))->overlaps(new Extent(10, 5)))->toBeTrue()
        ->and((new Extent(10, 5))->last())->toBe(14);
});

it('finds a type by its GUID in any case', function () {
    expect(PartitionType::fromGuid('c12a7328-f81f-11d2-ba4b-00a0c93ec93b'))->toBe(PartitionType::EfiSystem)
        ->and(PartitionType::fromGuid('x'))->toBeNull();
    foreach (PartitionType::cases() as $type) {
        expect(PartitionType::fromGuid($type->guid()))->toBe($type)->and($type->title())->not->toBe('');
    }
});
