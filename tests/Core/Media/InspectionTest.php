<?php

use Cobblestone\Media\Inspection\ImageInspector;
use Cobblestone\Media\Inspection\Signers;
use Tests\Support\Images;

it('says what optical images are and what they start on', function (
    string $file,
    string $kind,
    string $raw,
    string $copied,
    array $places,
) {
    $report = inspected(Images::bytes($file), treeWithLoader());
    expect($report->kind)->toBe($kind)->and($report->damage)->toBe([])
        ->and($report->starts('raw'))->toBe($raw)->and($report->starts('copied'))->toBe($copied)
        ->and(array_column($report->loaders, 'where'))->toBe($places)
        ->and($report->files)->toBe([
            'count' => 3,
            'directories' => 2,
            'bytes' => 8157,
            'largest' => ['path' => 'payload/system.img', 'bytes' => 5000],
            'complete' => true,
            'tree' => $file === 'udf.iso' ? 'udf' : 'iso',
        ]);
})->with([
    [
        'plain.iso',
        'optical',
        'It is not meant to be written raw: it has no partition table that firmware would look for on a stick.',
        'Starts by UEFI on x86-64.',
        ['files'],
    ],
    [
        'both.iso',
        'optical',
        'It is not meant to be written raw: it has no partition table that firmware would look for on a stick.',
        'Starts by UEFI on x86-64. Its legacy loader starts from a disc; from a stick only with a boot sector of its '
            .'own.',
        ['el-torito', 'files'],
    ],
    [
        'hybrid-gpt.iso',
        'optical-hybrid',
        'Starts by UEFI on x86-64 and by legacy BIOS.',
        'Starts by UEFI on x86-64. Its legacy loader starts from a disc; from a stick only with a boot sector of its '
            .'own.',
        ['partition', 'el-torito', 'files'],
    ],
    [
        'hybrid-mbr.iso',
        'optical-hybrid',
        'Starts by UEFI on x86-64.',
        'Starts by UEFI on x86-64.',
        ['partition', 'el-torito', 'files'],
    ],
    [
        'udf.iso',
        'optical',
        'It is not meant to be written raw: it has no partition table that firmware would look for on a stick.',
        'Starts by UEFI on x86-64.',
        ['files'],
    ],
]);

it('reads the marks of an optical image', function (string $file, array $marks) {
    expect(inspected(Images::bytes($file), ['a' => ''])->optical)->toMatchArray($marks);
})->with([
    ['plain.iso', ['iso9660' => true, 'joliet' => true, 'rock_ridge' => true, 'udf' => false, 'label' => 'ORRIN 3']],
    ['both.iso', ['joliet' => false, 'rock_ridge' => true, 'udf' => false]],
    ['udf.iso', ['iso9660' => true, 'rock_ridge' => false, 'udf' => true, 'label' => 'TANSY 7']],
]);

it('falls back on the ISO 9660 tree where the UDF one cannot be read, and remembers it', function () {
    $tools = new class(Images::tools(['a' => 'b'])) implements Cobblestone\Media\Inspection\InspectionTools
    {
        public function __construct(private Cobblestone\Media\Inspection\InspectionTools $inner)
        {
        }

        public function tree(string $kind): ?Cobblestone\Media\Inspection\FileTree
        {
            return $kind === 'udf' ? null : $this->inner->tree($kind);
        }

        public function expandHead(string $compression, int $limit): ?Cobblestone\Storage\Reading\ByteSource
        {
            return null;
        }

        public function signatures(): Cobblestone\Media\Inspection\SignatureTool
        {
            return $this->inner->signatures();
        }
    };
    expect(ImageInspector::inspect(Images::source('udf.iso'), 'x', $tools, Signers::unknown())->files)
        ->toMatchArray(['count' => 1, 'tree' => 'iso']);
});

it('asks for the UDF tree before the ISO 9660 one', function (string $file, string $kind) {
    ImageInspector::inspect(
        Images::source($file),
        'x.iso',
        Images::tools(['a' => 'b'], asked: $asked),
        Signers::unknown(),
    );
    expect($asked)->toBe($kind);
})->with([['udf.iso', 'udf'], ['plain.iso', 'iso']]);

it('finds the start images as xorriso reports them', function () {
    expect(inspected(Images::bytes('hybrid-gpt.iso'), ['a' => ''])->startImages)->toBe([
        [
            'platform' => 'BIOS',
            'bootable' => true,
            'media' => 0,
            'at' => 34 * 2048,
            'bytes' => 2048,
            'measured' => false,
        ],
        [
            'platform' => 'UEFI',
            'bootable' => true,
            'media' => 0,
            'at' => 35 * 2048,
            'bytes' => 204_800,
            'measured' => true,
        ],
    ]);
});

it('takes the size of a start image from the file system inside, not from its length field', function () {
    $bytes = Images::bytes('both.iso');
    $catalogue = unpack('V', $bytes, 17 * 2048 + 71)[1] * 2048;
    $lying = substr_replace($bytes, pack('v', 1), $catalogue + 96 + 6, 2);
    expect(inspected($lying, ['a' => ''])->startImages[1]['bytes'])->toBe(204_800);
});

it('looks into a disk image and a file system without a table', function () {
    $disk = inspected(Images::bytes('disk-gpt.img'), name: 'skerry.img');
    expect($disk->kind)->toBe('raw')
        ->and($disk->label)->toBe('SKERRY')
        ->and($disk->what())->toBe('A raw disk image, 6.3 MB, labelled "SKERRY".')
        ->and($disk->starts('raw'))->toBe('Starts by UEFI on x86-64.')
        ->and($disk->starts('copied'))->toBe('There is no tree of files to copy.')
        ->and($disk->ways())->toBe(['Written raw, byte for byte.'])->and($disk->expanded())->toBe(6_291_456);
    $fat = inspected(Images::bytes('fat16.img'));
    expect($fat->kind)->toBe('fat')->and($fat->label)->toBe('TEST 16')->and($fat->files['count'])->toBe(5)
        ->and($fat->starts('raw'))->toBe(
            'Starts by UEFI on x86-64. Whether its boot sector starts anything the old way cannot be told.',
        )
        ->and($fat->starts('copied'))->toBe('Starts by UEFI on x86-64.')->and($fat->ways())->toHaveCount(2)
        ->and(array_column($fat->loaders, 'where'))->toBe(['volume', 'files']);
});

it('looks into what is packed, and knows how much comes out where the format tells', function (
    string $file,
    string $kind,
    ?int $expanded,
    array $notes,
) {
    $report = inspected(Images::bytes($file), head: Images::bytes('disk-gpt.img'));
    expect($report->kind)->toBe('raw')
        ->and($report->compression['kind'])->toBe($kind)
        ->and($report->expanded())->toBe($expanded)
        ->and($report->notes)->toBe($notes)
        ->and($report->damage)->toBe([])
        ->and($report->starts('raw'))->toBe('Starts by UEFI on x86-64.')
        ->and($report->ways())->toBe(['Written raw, byte for byte, unpacked on the way.'])
        ->and($report->canBeCopied())->toBeFalse();
})->with([
    ['disk.img.xz', 'xz', 6_291_456, []], ['disk.img.zst', 'zstd', 6_291_456, []], ['disk.zip', 'zip', 6_291_456, []],
    ['disk.img.bz2', 'bzip2', null, ['Bzip2 does not tell how much comes out.']],
    ['disk.img.gz', 'gzip', null, ['Gzip says 6 291 456 B, but counts only up to 4 GiB and only its last part.']],
]);
