<?php

use Cobblestone\Media\Inspection\FileCount;
use Cobblestone\Media\Inspection\ImageInspector;
use Cobblestone\Media\Inspection\ListedFiles;
use Cobblestone\Media\Inspection\LoaderFileSeen;
use Cobblestone\Media\Inspection\LoaderSearch;
use Cobblestone\Media\Inspection\LoaderTrust;
use Cobblestone\Media\Inspection\PartlyKnown;
use Cobblestone\Media\Inspection\PeImage;
use Cobblestone\Media\Inspection\Signers;
use Cobblestone\Storage\Reading\StringSource;
use Tests\Support\Images;

it('takes a loader by every name that firmware tries', function (string $name, string $architecture, int $machine) {
    $search = new LoaderSearch(Images::tools()->signatures(), Signers::unknown(), null);
    $bytes = substr_replace(Images::bytes('plain.efi'), pack('v', $machine), 68, 2);
    $seen = new LoaderFileSeen(strtolower($name), 'partition', 'in partition 1', strlen($bytes));
    $found = $search->look($seen, $bytes, null);
    expect($found->toArray())->toBe([
        'path' => "EFI/BOOT/{$name}",
        'where' => 'partition',
        'place' => 'in partition 1',
        'architecture' => $architecture,
        'bytes' => 1536,
        'fault' => null,
        'trust' => 'unsigned',
        'because' => 'It carries no signature.',
        'signers' => [],
        'digest' => PeImage::read($bytes)->digest(),
    ])
        ->and($found->alsoIn('files', 'among the files')->toArray())
        ->toBe([...$found->toArray(), 'where' => 'files', 'place' => 'among the files']);
})->with([
    ['BOOTIA32.EFI', 'x86-32', 0x014C],
    ['BOOTX64.EFI', 'x86-64', 0x8664],
    ['BOOTARM.EFI', 'arm-32', 0x01C4],
    ['BOOTARM.EFI', 'arm-32', 0x01C0],
    ['BOOTARM.EFI', 'arm-32', 0x01C2],
    ['BOOTAA64.EFI', 'arm-64', 0xAA64],
    ['BOOTRISCV64.EFI', 'riscv-64', 0x5064],
    ['BOOTLOONGARCH64.EFI', 'loongarch-64', 0x6264],
]);

it('does not read a loader without end, and names who signed one', function () {
    $tool = Images::tools()->signatures();
    $search = new LoaderSearch($tool, Signers::unknown(), null);
    $seen = fn (int $size) => new LoaderFileSeen('BOOTX64.EFI', 'files', '', $size);
    $at = fn (int $size) => $search->look($seen($size), Images::bytes('plain.efi'), null);
    expect($at(3_145_729)->toArray())->toMatchArray([
        'trust' => 'cannot-tell',
        'because' => 'It is larger than any loader that is read here.',
        'fault' => null,
        'signers' => [],
        'digest' => null,
        'bytes' => 3_145_729,
    ])
        ->and($at(3_145_728)->fault)->toBe('part of it is missing')
        ->and($at(1536)->fault)->toBeNull()
        ->and($at(1537)->fault)->toBe('part of it is missing');
    $signed = Images::bytes('signed.efi');
    expect($search->look($seen(strlen($signed)), $signed, null)->signers)->toBe(['somebody']);
    $text = $search->look($seen(4), 'text', null);
    expect($text->toArray())->toMatchArray([
        'fault' => 'it is no PE file, so firmware takes it for missing',
        'trust' => null,
        'because' => '',
        'signers' => [],
        'digest' => null,
    ]);
    $enrolled = fn (?string $next) => new LoaderSearch(
        Images::tools(chains: ['P' => [$signed]])->signatures(),
        new Signers(['platform' => 'P'], [], 'here'),
        $next,
    );
    expect($enrolled(null)->look($seen(strlen($signed)), $signed, null)->trust)
        ->toBe(LoaderTrust::Trusted)
        ->and($enrolled('EFI/BOOT/next.efi')->look($seen(strlen($signed)), $signed, null)->trust)
        ->toBe(LoaderTrust::NextStage);
});

it('counts files within bounds', function () {
    $count = FileCount::of(new ListedFiles([
        ['path' => 'a', 'bytes' => -5, 'directory' => false],
        ['path' => 'dir', 'bytes' => 0, 'directory' => true],
        ['path' => 'b', 'bytes' => 7, 'directory' => false],
        ['path' => "c\xFF", 'bytes' => PHP_INT_MAX, 'directory' => false],
        ['path' => 'd', 'bytes' => 1 << 50, 'directory' => false],
        ['path' => 'efi/boot/bootx64.efi', 'bytes' => 1, 'directory' => false],
        ['path' => 'EFI/BOOT/OTHER.EFI', 'bytes' => 1, 'directory' => false],
        ['path' => 'x/EFI/BOOT/BOOTIA32.EFI', 'bytes' => 1, 'directory' => false],
    ]), 'iso');
    expect($count->toArray())->toBe([
        'count' => 7,
        'directories' => 1,
        'bytes' => 2 * (1 << 50) + 10,
        'largest' => ['path' => 'c?', 'bytes' => 1 << 50],
        'complete' => true,
        'tree' => 'iso',
    ])
        ->and($count->loaders)->toBe(['BOOTX64.EFI' => 'efi/boot/bootx64.efi'])
        ->and($count->links)->toBe(0)
        ->and(FileCount::of(new ListedFiles([]), 'udf')->toArray())
        ->toBe([
            'count' => 0,
            'directories' => 0,
            'bytes' => 0,
            'largest' => null,
            'complete' => true,
            'tree' => 'udf',
        ]);
    $many = fn (int $files) => FileCount::of(new class($files) implements Cobblestone\Media\Inspection\FileTree
    {
        public function __construct(private int $files)
        {
        }

        public function entries(): iterable
        {
            for ($i = 0; $i < $this->files; $i++) {
                yield ['path' => 'f', 'bytes' => 1, 'directory' => $i % 2 === 0];
            }
        }

        public function read(string $path, int $limit): ?string
        {
            return null;
        }
    }, 'iso');
    expect($many(300_000))->complete->toBeTrue()->count->toBe(150_000)
        ->and($many(300_001))->complete->toBeFalse()->directories->toBe(150_000)->bytes->toBe(150_000);
});

it('reads nothing where only the size is known', function () {
    $known = new PartlyKnown(new StringSource('head'), 100);
    expect($known->size())->toBe(100)->and($known->read(1, 2))->toBe('ea')->and($known->read(50, 5))->toBe('');
});

it('looks at the next stage beside the first, in a volume and among files', function () {
    $fat = Images::bytes('fat16.img');
    $look = fn (?string $next, array $files) => ImageInspector::inspect(
        new StringSource($fat),
        'x',
        Images::tools($files),
        Signers::unknown(),
        $next,
    )->loaders[0];
    expect($look(null, []))->toMatchArray([
        'trust' => 'unsigned',
        'where' => 'volume',
        'place' => 'in the file system',
    ]);
    $first = Images::bytes('first-signed.efi');
    $signers = new Signers(['platform' => 'P'], [], 'here');
    $iso = fn (array $files, ?string $next) => ImageInspector::inspect(
        Images::source('plain.iso'),
        'x',
        Images::tools($files, chains: ['P' => [$first]]),
        $signers,
        $next,
    )->loaders[0]['trust'];
    expect($iso(['EFI/BOOT/BOOTX64.EFI' => $first], null))->toBe('trusted')
        ->and($iso(['EFI/BOOT/BOOTX64.EFI' => $first], 'EFI/BOOT/NEXT.EFI'))->toBe('next-stage')
        ->and($iso(['EFI/BOOT/BOOTX64.EFI' => $first, 'EFI/BOOT/NEXT.EFI' => $first], 'EFI/BOOT/NEXT.EFI'))
        ->toBe('trusted')
        ->and($iso(['EFI/BOOT/BOOTX64.EFI' => $first, 'EFI/BOOT/NEXT.EFI' => 'x'], 'EFI/BOOT/NEXT.EFI'))
        ->toBe('next-stage');
});
