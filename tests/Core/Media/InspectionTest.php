<?php

use Cobblestone\Media\Inspection\ImageInspector;
use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Media\Inspection\Signers;
use Cobblestone\Storage\Reading\StringSource;
use Tests\Support\Images;

/**
 * @param  array<string, string>  $files
 */
function inspected(string $bytes, array $files = [], ?string $head = null, string $name = 'image.iso', ?string $next = null): ImageReport
{
    return ImageInspector::inspect(new StringSource($bytes), $name, Images::tools($files, $head), Signers::unknown(), $next);
}

/** @return array<string, string> */
function treeWithLoader(): array
{
    return ['EFI/' => '', 'EFI/BOOT/' => '', 'EFI/BOOT/BOOTX64.EFI' => Images::bytes('signed.efi'), 'Read me first.txt' => 'Orrin', 'payload/system.img' => str_repeat('p', 5000)];
}

it('says what optical images are and what they start on', function (string $file, string $kind, string $raw, string $copied, array $places) {
    $report = inspected(Images::bytes($file), treeWithLoader());
    expect($report->kind)->toBe($kind)->and($report->damage)->toBe([])
        ->and($report->starts('raw'))->toBe($raw)->and($report->starts('copied'))->toBe($copied)
        ->and(array_column($report->loaders, 'where'))->toBe($places)
        ->and($report->files)->toBe(['count' => 3, 'directories' => 2, 'bytes' => 8157, 'largest' => ['path' => 'payload/system.img', 'bytes' => 5000], 'complete' => true, 'tree' => $file === 'udf.iso' ? 'udf' : 'iso']);
})->with([
    ['plain.iso', 'optical', 'It is not meant to be written raw: it has no partition table that firmware would look for on a stick.', 'Starts by UEFI on x86-64.', ['files']],
    ['both.iso', 'optical', 'It is not meant to be written raw: it has no partition table that firmware would look for on a stick.', 'Starts by UEFI on x86-64. Its legacy loader starts from a disc; from a stick only with a boot sector of its own.', ['el-torito', 'files']],
    ['hybrid-gpt.iso', 'optical-hybrid', 'Starts by UEFI on x86-64 and by legacy BIOS.', 'Starts by UEFI on x86-64. Its legacy loader starts from a disc; from a stick only with a boot sector of its own.', ['partition', 'el-torito', 'files']],
    ['hybrid-mbr.iso', 'optical-hybrid', 'Starts by UEFI on x86-64.', 'Starts by UEFI on x86-64.', ['partition', 'el-torito', 'files']],
    ['udf.iso', 'optical', 'It is not meant to be written raw: it has no partition table that firmware would look for on a stick.', 'Starts by UEFI on x86-64.', ['files']],
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
    expect(ImageInspector::inspect(Images::source('udf.iso'), 'x', $tools, Signers::unknown())->files)->toMatchArray(['count' => 1, 'tree' => 'iso']);
});

it('asks for the UDF tree before the ISO 9660 one', function (string $file, string $kind) {
    ImageInspector::inspect(Images::source($file), 'x.iso', Images::tools(['a' => 'b'], asked: $asked), Signers::unknown());
    expect($asked)->toBe($kind);
})->with([['udf.iso', 'udf'], ['plain.iso', 'iso']]);

it('finds the start images as xorriso reports them', function () {
    expect(inspected(Images::bytes('hybrid-gpt.iso'), ['a' => ''])->startImages)->toBe([
        ['platform' => 'BIOS', 'bootable' => true, 'media' => 0, 'at' => 34 * 2048, 'bytes' => 2048, 'measured' => false],
        ['platform' => 'UEFI', 'bootable' => true, 'media' => 0, 'at' => 35 * 2048, 'bytes' => 204_800, 'measured' => true],
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
    expect($disk->kind)->toBe('raw')->and($disk->label)->toBe('SKERRY')->and($disk->what())->toBe('A raw disk image, 6.3 MB, labelled "SKERRY".')
        ->and($disk->starts('raw'))->toBe('Starts by UEFI on x86-64.')->and($disk->starts('copied'))->toBe('There is no tree of files to copy.')
        ->and($disk->ways())->toBe(['Written raw, byte for byte.'])->and($disk->expanded())->toBe(6_291_456);
    $fat = inspected(Images::bytes('fat16.img'));
    expect($fat->kind)->toBe('fat')->and($fat->label)->toBe('TEST 16')->and($fat->files['count'])->toBe(5)
        ->and($fat->starts('raw'))->toBe('Starts by UEFI on x86-64. Whether its boot sector starts anything the old way cannot be told.')
        ->and($fat->starts('copied'))->toBe('Starts by UEFI on x86-64.')->and($fat->ways())->toHaveCount(2)
        ->and(array_column($fat->loaders, 'where'))->toBe(['volume', 'files']);
});

it('looks into what is packed, and knows how much comes out where the format tells', function (string $file, string $kind, ?int $expanded, array $notes) {
    $report = inspected(Images::bytes($file), head: Images::bytes('disk-gpt.img'));
    expect($report->kind)->toBe('raw')->and($report->compression['kind'])->toBe($kind)->and($report->expanded())->toBe($expanded)
        ->and($report->notes)->toBe($notes)->and($report->damage)->toBe([])->and($report->starts('raw'))->toBe('Starts by UEFI on x86-64.')
        ->and($report->ways())->toBe(['Written raw, byte for byte, unpacked on the way.'])->and($report->canBeCopied())->toBeFalse();
})->with([
    ['disk.img.xz', 'xz', 6_291_456, []], ['disk.img.zst', 'zstd', 6_291_456, []], ['disk.zip', 'zip', 6_291_456, []],
    ['disk.img.bz2', 'bzip2', null, ['Bzip2 does not tell how much comes out.']],
    ['disk.img.gz', 'gzip', null, ['Gzip says 6 291 456 B, but counts only up to 4 GiB and only its last part.']],
]);

it('does not call the unread rest of a packed image damaged', function () {
    $report = inspected(Images::bytes('disk.img.xz'), head: substr(Images::bytes('disk-gpt.img'), 0, 3_000_000));
    expect($report->damage)->toBe([])->and($report->loaders)->toHaveCount(1)->and($report->loaders[0]['fault'])->toBeNull();
    $early = inspected(Images::bytes('disk.img.xz'), head: substr(Images::bytes('disk-gpt.img'), 0, strpos(Images::bytes('disk-gpt.img'), 'MZ') + 1000));
    expect($early->damage)->toBe([])->and($early->loaders)->toBe([])->and($early->notes)->toBe(['BOOTX64.EFI in partition 1 lies past the part that was unpacked: whether it would start cannot be told.']);
});

it('tells a restore bundle, an archive, an empty file and a stranger', function () {
    expect(inspected(Images::bytes('device.restore'), ['restore-manifest.json' => '{}', 'A.BIN' => 'a']))->kind->toBe('device-restore')->ways()->toBe(['Restored to the device over a cable; a stick is of no use.'])
        ->and(inspected(Images::bytes('device.restore'), ['notes.txt' => '{}', 'A.BIN' => 'a']))->kind->toBe('archive')->ways()->toBe([])
        ->and(inspected(''))->kind->toBe('empty')->damage->toBe(['The file is empty.'])
        ->and(inspected('hello'))->kind->toBe('unknown')->what()->toBe('No image that is known here, 5 B.')->starts('raw')->toBe('It is not meant to be written raw.');
});

it('says what is damaged', function (Closure $damage, string $file, string $sentence) {
    expect(inspected($damage(Images::bytes($file)), treeWithLoader(), head: str_ends_with($file, '.xz') ? '' : null)->damage)->toContain($sentence);
})->with([
    'cut off' => [fn ($b) => substr($b, 0, 400_000), 'plain.iso', 'The optical volume states 610 304 B, the file has 400 000 B: its end is missing.'],
    'catalogue gone' => [fn ($b) => substr_replace($b, "\0", unpack('V', $b, 17 * 2048 + 71)[1] * 2048, 1), 'both.iso', 'The boot catalogue in block 33 is missing or damaged.'],
    'catalogue changed' => [fn ($b) => substr_replace($b, 'X', unpack('V', $b, 17 * 2048 + 71)[1] * 2048 + 5, 1), 'both.iso', 'The checksum of the boot catalogue does not match.'],
    'start image outside' => [fn ($b) => substr_replace($b, pack('V', 9999), unpack('V', $b, 17 * 2048 + 71)[1] * 2048 + 96 + 8, 4), 'both.iso', 'The UEFI start image is said to be at byte 20477952, past the end of the file.'],
    'xz cut off' => [fn ($b) => substr($b, 0, -8), 'disk.img.xz', 'The end of the file is not the end of an xz file: it was cut off or altered.'],
    'nothing comes out' => [fn ($b) => $b, 'disk.img.xz', 'Nothing comes out of the xz file: it is damaged.'],
    'file system larger' => [fn ($b) => substr_replace($b, pack('v', 5000), 2048 * 512 + 19, 2), 'disk-gpt.img', 'The file system of partition 1 is larger than the partition.'],
]);

it('leaves links out and says so', function (int $links, array $notes) {
    $entries = [['path' => 'a', 'bytes' => 5, 'directory' => false], ...array_fill(0, $links, ['path' => 'EFI/BOOT/BOOTX64.EFI', 'bytes' => 9, 'directory' => false, 'link' => true])];
    $count = Cobblestone\Media\Inspection\FileCount::of(new Cobblestone\Media\Inspection\ListedFiles($entries), 'iso');
    expect($count->links)->toBe($links)->and($count->count)->toBe(1)->and($count->bytes)->toBe(5)->and($count->loaders)->toBe([]);
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
})->with([[0, []], [1, ['One link is left out when files are copied: FAT has none.']], [3, ['3 links are left out when files are copied: FAT has none.']]]);

it('says when the list of files cannot be read', function () {
    expect(inspected(Images::bytes('plain.iso'))->damage)->toBe(['The list of files cannot be read.']);
});

it('says why a loader would not be taken', function (string $loader, string $fault) {
    $report = inspected(Images::bytes('plain.iso'), ['EFI/BOOT/bootx64.efi' => $loader]);
    expect($report->loaders[0]['fault'])->toBe($fault)->and($report->architectures('copied'))->toBe([])
        ->and($report->starts('copied'))->toBe('Nothing on it starts a machine by UEFI, and nothing the old way. '.ucfirst("EFI/BOOT/BOOTX64.EFI among the files: {$fault}."));
})->with([
    ['not a program', 'it is no PE file, so firmware takes it for missing'],
    [substr_replace(Images::bytes('plain.efi'), pack('v', 0xAA64), 68, 2), 'it is built for arm-64, its name says x86-64'],
    [substr_replace(Images::bytes('plain.efi'), pack('v', 0x1234), 68, 2), 'it is built for machine type 0x1234, its name says x86-64'],
    [substr_replace(Images::bytes('plain.efi'), pack('v', 3), 88 + 68, 2), 'it is a program, but not for UEFI'],
    [substr(Images::bytes('plain.efi'), 0, 1200), 'part of it is missing'],
    [substr(Images::bytes('signed.efi'), 0, -100), 'part of it is missing'],
]);

it('survives a round trip as data', function () {
    $report = inspected(Images::bytes('hybrid-gpt.iso'), treeWithLoader());
    $again = ImageReport::fromArray(json_decode(json_encode($report->toArray()), true));
    expect($again->toArray())->toEqual($report->toArray())->and($report->toArray()['verdict'])->toBe(['what' => 'A hybrid optical image: it also has a partition table, 1.0 MB, labelled "ORRIN 3".', 'written_raw' => 'Starts by UEFI on x86-64 and by legacy BIOS.', 'files_copied' => 'Starts by UEFI on x86-64. Its legacy loader starts from a disc; from a stick only with a boot sector of its own.', 'ways' => ['Written raw, byte for byte.', 'Files copied onto a file system of ours.'], 'damaged' => false]);
});

it('keeps hostile names as text', function () {
    $report = inspected(Images::bytes('plain.iso'), ["bad\xFFname\n<b>" => str_repeat('x', 9)], name: "x\xFE.iso");
    expect(mb_check_encoding($report->files['largest']['path'], 'UTF-8'))->toBeTrue()->and(mb_check_encoding($report->name, 'UTF-8'))->toBeTrue()->and(json_encode($report->toArray()))->not->toBeFalse();
});
