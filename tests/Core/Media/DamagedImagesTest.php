<?php

use Cobblestone\Media\Inspection\ImageInspector;
use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Media\Inspection\Signers;
use Tests\Support\Images;

it('does not call the unread rest of a packed image damaged', function () {
    $report = inspected(Images::bytes('disk.img.xz'), head: substr(Images::bytes('disk-gpt.img'), 0, 3_000_000));
    expect($report->damage)->toBe([])
        ->and($report->loaders)->toHaveCount(1)
        ->and($report->loaders[0]['fault'])->toBeNull();
    $early = inspected(
        Images::bytes('disk.img.xz'),
        head: substr(Images::bytes('disk-gpt.img'), 0, strpos(Images::bytes('disk-gpt.img'), 'MZ') + 1000),
    );
    expect($early->damage)->toBe([])
        ->and($early->loaders)->toBe([])
        ->and($early->notes)->toBe([
            'BOOTX64.EFI in partition 1 lies past the part that was unpacked: whether it would start cannot be told.',
        ]);
});

it('tells a restore bundle, an archive, an empty file and a stranger', function () {
    expect(inspected(Images::bytes('device.restore'), [
        'restore-manifest.json' => '{}',
        'A.BIN' => 'a',
    ]))->kind->toBe('device-restore')
        ->ways()
        ->toBe(['Restored to the device over a cable; a stick is of no use.'])
        ->and(inspected(Images::bytes('device.restore'), ['notes.txt' => '{}', 'A.BIN' => 'a']))->kind->toBe('archive')
        ->ways()
        ->toBe([])
        ->and(inspected(''))->kind->toBe('empty')->damage->toBe(['The file is empty.'])
        ->and(inspected('hello'))->kind->toBe('unknown')
        ->what()
        ->toBe('No image that is known here, 5 B.')
        ->starts('raw')
        ->toBe('It is not meant to be written raw.');
});

it('says what is damaged', function (Closure $damage, string $file, string $sentence) {
    expect(
        inspected(
            $damage(Images::bytes($file)),
            treeWithLoader(),
            head: str_ends_with($file, '.xz') ? '' : null,
        )->damage,
    )
        ->toContain($sentence);
})->with([
    'cut off' => [
        fn ($b) => substr($b, 0, 400_000),
        'plain.iso',
        'The optical volume states 610 304 B, the file has 400 000 B: its end is missing.',
    ],
    'catalogue gone' => [
        fn ($b) => substr_replace($b, "\0", unpack('V', $b, 17 * 2048 + 71)[1] * 2048, 1),
        'both.iso',
        'The boot catalogue in block 33 is missing or damaged.',
    ],
    'catalogue changed' => [
        fn ($b) => substr_replace($b, 'X', unpack('V', $b, 17 * 2048 + 71)[1] * 2048 + 5, 1),
        'both.iso',
        'The checksum of the boot catalogue does not match.',
    ],
    'start image outside' => [
        fn ($b) => substr_replace($b, pack('V', 9999), unpack('V', $b, 17 * 2048 + 71)[1] * 2048 + 96 + 8, 4),
        'both.iso',
        'The UEFI start image is said to be at byte 20477952, past the end of the file.',
    ],
    'xz cut off' => [
        fn ($b) => substr($b, 0, -8),
        'disk.img.xz',
        'The end of the file is not the end of an xz file: it was cut off or altered.',
    ],
    'nothing comes out' => [fn ($b) => $b, 'disk.img.xz', 'Nothing comes out of the xz file: it is damaged.'],
    'file system larger' => [
        fn ($b) => substr_replace($b, pack('v', 5000), 2048 * 512 + 19, 2),
        'disk-gpt.img',
        'The file system of partition 1 is larger than the partition.',
    ],
]);

it('leaves links out and says so', function (int $links, array $notes) {
    $entries = [
        ['path' => 'a', 'bytes' => 5, 'directory' => false],
        ...array_fill(0, $links, [
            'path' => 'EFI/BOOT/BOOTX64.EFI',
            'bytes' => 9,
            'directory' => false,
            'link' => true,
        ]),
    ];
    $count = Cobblestone\Media\Inspection\FileCount::of(new Cobblestone\Media\Inspection\ListedFiles($entries), 'iso');
    expect($count->links)->toBe($links)
        ->and($count->count)->toBe(1)
        ->and($count->bytes)->toBe(5)
        ->and($count->loaders)->toBe([]);
    $tools = new class(Images::tools(), $entries) implements Cobblestone\Media\Inspection\InspectionTools
    {
        public function __construct(private $inner, private array $entries)
        {
        }

        public function tree(string $kind): ?Cobblestone\Media\Inspection\FileTree
        {
            return new Cobblestone\Media\Inspection\ListedFiles($this->entries);
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
    expect(ImageInspector::inspect(Images::source('plain.iso'), 'x', $tools, Signers::unknown())->notes)->toBe($notes);
})->with([
    [0, []],
    [1, ['One link is left out when files are copied: FAT has none.']],
    [3, ['3 links are left out when files are copied: FAT has none.']],
]);

it('says when the list of files cannot be read', function () {
    expect(inspected(Images::bytes('plain.iso'))->damage)->toBe(['The list of files cannot be read.']);
});

it('says why a loader would not be taken', function (string $loader, string $fault) {
    $report = inspected(Images::bytes('plain.iso'), ['EFI/BOOT/bootx64.efi' => $loader]);
    expect($report->loaders[0]['fault'])->toBe($fault)->and($report->architectures('copied'))->toBe([])
        ->and($report->starts('copied'))->toBe(
            'Nothing on it starts a machine by UEFI, and nothing the old way. '
                .ucfirst("EFI/BOOT/BOOTX64.EFI among the files: {$fault}."),
        );
})->with([
    ['not a program', 'it is no PE file, so firmware takes it for missing'],
    [
        substr_replace(Images::bytes('plain.efi'), pack('v', 0xAA64), 68, 2),
        'it is built for arm-64, its name says x86-64',
    ],
    [
        substr_replace(Images::bytes('plain.efi'), pack('v', 0x1234), 68, 2),
        'it is built for machine type 0x1234, its name says x86-64',
    ],
    [substr_replace(Images::bytes('plain.efi'), pack('v', 3), 88 + 68, 2), 'it is a program, but not for UEFI'],
    [substr(Images::bytes('plain.efi'), 0, 1200), 'part of it is missing'],
    [substr(Images::bytes('signed.efi'), 0, -100), 'part of it is missing'],
]);

it('survives a round trip as data', function () {
    $report = inspected(Images::bytes('hybrid-gpt.iso'), treeWithLoader());
    $again = ImageReport::fromArray(json_decode(json_encode($report->toArray()), true));
    expect($again->toArray())->toEqual($report->toArray())
        ->and($report->toArray()['verdict'])->toBe([
            'what' => 'A hybrid optical image: it also has a partition table, 1.0 MB, labelled "ORRIN 3".',
            'written_raw' => 'Starts by UEFI on x86-64 and by legacy BIOS.',
            'files_copied' => 'Starts by UEFI on x86-64. Its legacy loader starts from a disc; from a stick only with '
                .'a boot sector of its own.',
            'ways' => ['Written raw, byte for byte.', 'Files copied onto a file system of ours.'],
            'damaged' => false,
        ]);
});

it('keeps hostile names as text', function () {
    $report = inspected(Images::bytes('plain.iso'), ["bad\xFFname\n<b>" => str_repeat('x', 9)], name: "x\xFE.iso");
    expect(mb_check_encoding($report->files['largest']['path'], 'UTF-8'))->toBeTrue()
        ->and(mb_check_encoding($report->name, 'UTF-8'))->toBeTrue()
        ->and(json_encode($report->toArray()))->not->toBeFalse();
});
