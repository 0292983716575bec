<?php

use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Media\Ways\StickRates;
use Cobblestone\Media\Ways\WayComparison;
use Cobblestone\Media\Ways\WayInput;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;

/** @param  array<string, mixed>  $changes */
function wayReport(array $changes = []): ImageReport
{
    $loader = fn (string $where) => [
        'path' => 'EFI/BOOT/BOOTX64.EFI',
        'where' => $where,
        'place' => '',
        'architecture' => 'x86-64',
        'bytes' => 1,
        'fault' => null,
        'trust' => 'trusted',
        'because' => '',
        'signers' => [],
        'digest' => '',
    ];

    return ImageReport::fromArray([...[
        'name' => 'orrin.iso',
        'bytes' => 3_650_722_816,
        'kind' => 'optical-hybrid',
        'compression' => null,
        'optical' => ['udf' => false],
        'start_images' => [],
        'table' => null,
        'label' => 'ORRIN',
        'damage' => [],
        'notes' => [],
        'files' => [
            'count' => 400,
            'directories' => 90,
            'bytes' => 3_641_180_160,
            'largest' => ['path' => 'live/big.img', 'bytes' => 2_899_103_744],
            'complete' => true,
        ],
        'loaders' => [$loader('partition'), $loader('files')], 'legacy' => ['raw' => true, 'copied' => null],
    ], ...$changes]);
}

/** @param  array<string, mixed>  $report  @param  array<string, mixed>  $of  @param  array<string, string>  $policy */
function ways(array $report = [], array $of = [], ?int $stick = 16_008_609_792, array $policy = []): WayComparison
{
    return WayComparison::of(
        new WayInput(...[
            ...[
                'report' => wayReport($report),
                'tooLarge' => [],
                'parts' => [],
                'ownSplitter' => false,
                'elsewhere' => false,
                'drivers' => Bytes::of(0),
                'driverFiles' => 0,
            ],
            ...$of,
        ]),
        $stick === null ? null : Bytes::of($stick),
        new StickRates(DataRate::megabytes(18), DataRate::megabytes(95), Policy::of()),
        Policy::of($policy),
    );
}

it('takes a hybrid image raw, unless drivers go along', function () {
    expect(ways()->decision->chosen)->toBe('Written raw')
        ->and(ways()->decision->rule)->toBe('M3')
        ->and(array_keys(ways()->decision->refused))->toBe([
            'Files copied, GPT', 'Files copied, MBR', 'Files copied, beside a storage partition',
            'Files copied, payload on a second partition',
        ])
        ->and(ways(of: ['driverFiles' => 2, 'drivers' => Bytes::mebi(40)])->decision->chosen)->toBe('Files copied, GPT')
        ->and(ways(of: ['driverFiles' => 2, 'drivers' => Bytes::mebi(40)])->decision->refused['Written raw'])
        ->toBe(['Possible, but it carries no drivers.'])
        ->and(ways(of: ['driverFiles' => 1])->decision->facts)->toContain('1 driver file goes along')
        ->and(ways(policy: ['scheme' => 'widest'], of: ['driverFiles' => 2])->decision->chosen)
        ->toBe('Files copied, MBR')
        ->and(ways(policy: ['scheme' => 'widest'], of: ['driverFiles' => 2])->decision->refused['Files copied, GPT'])
        ->toBe(['Possible, but the policy for the scheme is "widest".']);
});

it('copies what is not meant to be raw, and writes raw what has no files', function () {
    expect(ways(['kind' => 'optical'])->decision->chosen)->toBe('Files copied, GPT')
        ->and(ways(['kind' => 'optical'])->decision->reasons)->toBe(['The image is not meant to be written as it is.'])
        ->and(ways(['kind' => 'raw', 'files' => null], ['driverFiles' => 1])->decision->reasons)
        ->toBe(['Its files cannot be copied; the drivers go onto a second stick.'])
        ->and(ways(['kind' => 'raw', 'files' => null])->way('copied-gpt')->against)
        ->toBe(['There is no tree of files to copy.'])
        ->and(ways(['kind' => 'unknown', 'files' => null])->decision)->toBeNull();
});

it('works out need, time and what sets the pace', function () {
    $raw = ways()->way('raw');
    expect($raw->need->count)->toBe(3_650_722_816)
        ->and($raw->write->time->seconds)->toBe(203)
        ->and($raw->verify->time->seconds)->toBe(39)
        ->and($raw->pace)->toBe('writing: the stick, 18 MB/s; reading back: the stick, 95 MB/s')
        ->and($raw->cannot)->toBe(['The rest of the stick stays unused.']);
    $copied = ways()->way('copied-gpt');
    // 3 641 180 160 B / 18 MB/s, and 400 files of 15 ms each.
    expect($copied->write->time->seconds)->toBe(203 + 6)
        ->and($copied->need->count)->toBeGreaterThan(3_641_180_160 * 11 / 10)->toBeLessThan(3_641_180_160 * 115 / 100);
    $packed = ways([
        'kind' => 'raw',
        'files' => null,
        'compression' => ['kind' => 'xz', 'expanded_bytes' => 8_589_934_592],
    ])
        ->way('raw');
    expect($packed->need->count)->toBe(8_589_934_592)
        ->and($packed->costs)->toBe(['The bench computer holds the image, 3.7 GB, and no further copy.']);
    $unknown = ways(['kind' => 'raw', 'files' => null, 'compression' => ['kind' => 'bzip2', 'expanded_bytes' => null]])
        ->way('raw');
    expect($unknown->isPossible())->toBeTrue()
        ->and($unknown->need)->toBeNull()
        ->and($unknown->pace)->toBe('not known before it is unpacked')
        ->and($unknown->costs[0])->toContain('known only when it has been unpacked')
        ->and($unknown->toArray()['need_bytes'])->toBeNull();
});

it('refuses a stick that is too small, to the byte', function () {
    expect(ways(stick: 3_650_722_816)->way('raw')->isPossible())->toBeTrue()
        ->and(ways(stick: 3_650_722_815)->way('raw')->against)->toBe(['It needs 3.7 GB, the stick has 3.7 GB.'])
        ->and(ways(stick: 3_650_722_816)->way('copied-gpt')->against[0])
        ->toContain('with the spare, the stick has 3.7 GB.')
        ->and(ways(stick: null)->way('copied-gpt')->isPossible())->toBeTrue();
});

it('splits where the installer joins parts, and nowhere else', function () {
    $tooLarge = ['tooLarge' => ['payload/system.img' => 5_206_302_720]];
    expect(ways(['kind' => 'optical'], $tooLarge)->way('copied-gpt')->against)
        ->toBe([
            'payload/system.img has 5 206 302 720 B, more than FAT32 can hold, and its installer does not join parts.',
        ])
        ->and(
            ways(['kind' => 'optical'], [...$tooLarge, 'parts' => ['payload/system.img' => 'p%d']])
                ->way('copied-gpt')->costs[0],
        )
        ->toBe('payload/system.img is split into 2 parts of at most 3800 MiB.')
        ->and(
            ways(['kind' => 'optical'], [...$tooLarge, 'parts' => ['payload/system.img' => 'p%d']])
                ->way('copied-gpt')->buildable,
        )
        ->toBeTrue();
    $own = ways(['kind' => 'optical'], [
        ...$tooLarge,
        'parts' => ['payload/system.img' => 'p%d'],
        'ownSplitter' => true,
    ]);
    expect($own->way('copied-gpt')->buildable)->toBeFalse()
        ->and($own->way('copied-gpt')->costs[1])->toContain('only the exported script')
        ->and($own->decision)->toBeNull();
    expect(
        ways(['kind' => 'optical'], ['ownSplitter' => true, 'parts' => ['x' => 'p%d']])->way('copied-gpt')->buildable,
    )
        ->toBeTrue();
});

it('offers a second partition only where the payload may lie there', function () {
    $tooLarge = ['tooLarge' => ['payload/system.img' => 5_206_302_720]];
    expect(ways()->way('two-partitions')->against)->toBe(['No file is too large for FAT32: one partition will do.'])
        ->and(ways(of: $tooLarge)->way('two-partitions')->against)
        ->toBe(['Nobody knows that this installer looks for its payload on another partition.'])
        ->and(ways(of: [...$tooLarge, 'elsewhere' => true])->way('two-partitions'))
        ->isPossible()
        ->toBeTrue()->buildable->toBeFalse()
        ->and(ways(['kind' => 'raw', 'files' => null])->way('two-partitions')->against)
        ->toBe(['There is no tree of files to copy.']);
});

it('says what each way cannot do', function () {
    expect(ways()->way('copied-gpt')->cannot)->toBe(['Starts no machine the old way.'])
        ->and(ways()->way('copied-mbr')->cannot[0])->toContain('it starts by UEFI only')
        ->and(ways()->way('copied-storage')->cannot[1])->toContain(
            '"whole stick" in any other tool takes the storage with it',
        )
        ->and(ways(['legacy' => ['raw' => false, 'copied' => false]])->way('copied-gpt')->cannot)->toBe([])
        ->and(ways(of: ['driverFiles' => 1])->way('raw')->cannot[0])
        ->toBe('Carries no drivers: they go onto a second stick.');
});

it('needs at least what FAT32 needs at all, and steps of 256 MiB beside storage', function () {
    $small = [
        'files' => [
            'count' => 2,
            'directories' => 1,
            'bytes' => 9000,
            'largest' => ['path' => 'a', 'bytes' => 5000],
            'complete' => true,
        ],
    ];
    expect(ways($small)->way('copied-gpt')->need->count)
        ->toBeGreaterThan((65_525 + 1100) * 512)
        ->toBeLessThan(40_000_000)
        ->and(ways($small)->way('copied-storage')->need->count)->toBe(3 * 256 * 1_048_576)
        ->and(ways()->way('copied-storage')->need->count % (256 * 1_048_576))->toBe(0)
        ->and(ways()->way('copied-storage')->need->count)->toBeGreaterThan((int) (3_641_180_160 * 1.15));
});

it('finds no way by a name that does not exist', function () {
    expect(ways()->way('sideways'))->toBeNull()
        ->and(array_map(fn ($way) => $way->key, ways()->ways))
        ->toBe(['raw', 'copied-gpt', 'copied-mbr', 'copied-storage', 'two-partitions'])
        ->and(ways()->way('raw')->toArray())->toMatchArray([
            'key' => 'raw',
            'possible' => true,
            'write_seconds' => 203,
            'buildable' => true,
        ]);
});
