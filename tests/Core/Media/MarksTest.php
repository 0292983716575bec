<?php

use Cobblestone\Media\Inspection\FileCount;
use Cobblestone\Media\Inspection\FoundLoader;
use Cobblestone\Media\Inspection\ImageInspector;
use Cobblestone\Media\Inspection\ListedFiles;
use Cobblestone\Media\Inspection\LoaderJudge;
use Cobblestone\Media\Inspection\LoaderTrust;
use Cobblestone\Media\Inspection\OpticalVolume;
use Cobblestone\Media\Inspection\PartlyKnown;
use Cobblestone\Media\Inspection\PeImage;
use Cobblestone\Media\Inspection\Signers;
use Cobblestone\Storage\Reading\StringSource;
use Tests\Support\Images;

function isoDescriptor(string $label = 'ORRIN 3', int $blocks = 600, int $root = 22, int $rootBytes = 2048, int $type = 1): string
{
    $bytes = str_pad(chr($type)."CD001\1", 2048, "\0");

    return substr_replace(substr_replace(substr_replace($bytes, str_pad($label, 32), 40, 32), pack('V', $blocks), 80, 4), pack('VVV', $root, 0, $rootBytes), 158, 12);
}

/** @param  list<string>  $blocks  from block 16 on  @param  array<int, string>  $at  block => bytes */
function opticalBytes(array $blocks, array $at = [], int $count = 600): string
{
    $bytes = str_pad(str_repeat("\0", 16 * 2048).implode('', array_map(fn ($block) => str_pad($block, 2048, "\0"), $blocks)), $count * 2048, "\0");
    foreach ($at as $block => $piece) {
        $bytes = substr_replace($bytes, $piece, $block * 2048, strlen($piece));
    }

    return $bytes;
}

function anchorTag(): string
{
    $tag = pack('v', 2)."\3\0\0\0".str_repeat("\x11", 10);
    $tag[4] = chr(array_sum(array_map(ord(...), str_split($tag))) & 0xFF);

    return $tag;
}

it('finds Rock Ridge where the root says so', function (string $record, bool $found) {
    expect(OpticalVolume::read(new StringSource(opticalBytes([isoDescriptor()], [22 => $record])))->rockRidge)->toBe($found);
})->with([
    'name of one byte' => [chr(48).str_repeat("\0", 31)."\1\0"."SP\x07\x01\xBE\xEF\0".str_repeat("\0", 40), true],
    'name of two bytes, padded' => [chr(60).str_repeat("\0", 31)."\2ab\0SP\x07\x01\xBE\xEF\0", true],
    'name of three bytes' => [chr(60).str_repeat("\0", 31)."\3abcSP\x07\x01\xBE\xEF\0", true],
    'one byte off' => [chr(60).str_repeat("\0", 31)."\1\0\0SP\x07\x01\xBE\xEF\0", false], 'other mark' => [chr(60).str_repeat("\0", 31)."\1\0SP\x07\x02\xBE\xEF\0", false], 'nothing' => ['', false],
]);

it('reads a label as it can be shown, and nothing of a short descriptor', function () {
    $of = fn (string $bytes) => OpticalVolume::read(new StringSource($bytes));
    expect($of(opticalBytes([isoDescriptor("  OR\x01RIN\xFF 3 ")]))->label)->toBe('ORRIN 3')->and($of(opticalBytes([isoDescriptor('A'), isoDescriptor('B')]))->label)->toBe('B')
        ->and($of(str_repeat("\0", 16 * 2048).substr(isoDescriptor(), 0, 2047)))->toBeNull()->and($of(opticalBytes([isoDescriptor(type: 3)])))->toBeNull()
        ->and($of(opticalBytes([isoDescriptor(type: 0), isoDescriptor()]))->iso)->toBeTrue()->and($of(opticalBytes([isoDescriptor(blocks: 7, root: 9, rootBytes: 4096)])))->stated->toBe(7 * 2048)->root->toBe(['at' => 9 * 2048, 'bytes' => 4096]);
});

it('tells ISO 9660, UDF and both apart', function () {
    $of = fn (array $blocks, array $at = []) => OpticalVolume::read(new StringSource(opticalBytes($blocks, $at)));
    $udf = ["\0BEA01\1", "\0NSR02\1", "\0TEA01\1"];
    expect($of([isoDescriptor(), ...$udf], [256 => anchorTag()]))->iso->toBeTrue()->udf->toBeTrue()
        ->and($of([isoDescriptor(), ...$udf]))->iso->toBeTrue()->udf->toBeFalse()
        ->and($of($udf, [256 => anchorTag()])->toArray())->toBe(['iso9660' => false, 'joliet' => false, 'rock_ridge' => false, 'udf' => true, 'label' => null, 'stated_bytes' => null])
        ->and($of([isoDescriptor()], [256 => anchorTag()]))->udf->toBeFalse()
        ->and($of(["\0BOOT2\1", ...$udf], [256 => anchorTag()]))->udf->toBeTrue()->and($of(["\0OTHER\1", ...$udf], [256 => anchorTag()]))->toBeNull()
        ->and(OpticalVolume::read(new StringSource(opticalBytes([...array_fill(0, 30, "\0BEA01\1"), "\0NSR03\1"], [256 => anchorTag()])))?->udf)->toBeTrue()->and(OpticalVolume::read(new StringSource(opticalBytes([...array_fill(0, 32, "\0BEA01\1"), "\0NSR03\1"], [256 => anchorTag()]))))->toBeNull();
});

it('believes no anchor of another kind or with another sum', function (string $tag) {
    expect(OpticalVolume::read(new StringSource(opticalBytes(["\0NSR02\1"], [256 => $tag]))))->toBeNull();
})->with(['kind' => [substr_replace(anchorTag(), "\3", 0, 1)], 'kind, high byte' => [substr_replace(anchorTag(), "\1", 1, 1)], 'sum' => [substr_replace(anchorTag(), "\0", 4, 1)], 'content' => [substr_replace(anchorTag(), "\x12", 15, 1)]]);

it('takes a loader by every name that firmware tries', function (string $name, string $architecture, int $machine) {
    $judge = new LoaderJudge(Images::tools()->signatures(), Signers::unknown());
    $bytes = substr_replace(Images::bytes('plain.efi'), pack('v', $machine), 68, 2);
    $found = FoundLoader::of(strtolower($name), 'partition', 'in partition 1', $bytes, strlen($bytes), $judge, Images::tools()->signatures());
    expect($found->toArray())->toBe(['path' => "EFI/BOOT/{$name}", 'where' => 'partition', 'place' => 'in partition 1', 'architecture' => $architecture, 'bytes' => 1536, 'fault' => null, 'trust' => 'unsigned', 'because' => 'It carries no signature.', 'signers' => [], 'digest' => PeImage::read($bytes)->digest()])
        ->and($found->alsoIn('files', 'among the files')->toArray())->toBe([...$found->toArray(), 'where' => 'files', 'place' => 'among the files']);
})->with([['BOOTIA32.EFI', 'x86-32', 0x014C], ['BOOTX64.EFI', 'x86-64', 0x8664], ['BOOTARM.EFI', 'arm-32', 0x01C4], ['BOOTARM.EFI', 'arm-32', 0x01C0], ['BOOTARM.EFI', 'arm-32', 0x01C2], ['BOOTAA64.EFI', 'arm-64', 0xAA64], ['BOOTRISCV64.EFI', 'riscv-64', 0x5064], ['BOOTLOONGARCH64.EFI', 'loongarch-64', 0x6264]]);

it('does not read a loader without end, and names who signed one', function () {
    $tool = Images::tools()->signatures();
    $judge = new LoaderJudge($tool, Signers::unknown());
    $at = fn (int $size) => FoundLoader::of('BOOTX64.EFI', 'files', '', Images::bytes('plain.efi'), $size, $judge, $tool);
    expect($at(3_145_729)->toArray())->toMatchArray(['trust' => 'cannot-tell', 'because' => 'It is larger than any loader that is read here.', 'fault' => null, 'signers' => [], 'digest' => null, 'bytes' => 3_145_729])
        ->and($at(3_145_728)->fault)->toBe('part of it is missing')->and($at(1536)->fault)->toBeNull()->and($at(1537)->fault)->toBe('part of it is missing');
    $signed = Images::bytes('signed.efi');
    expect(FoundLoader::of('BOOTX64.EFI', 'files', '', $signed, strlen($signed), $judge, $tool)->signers)->toBe(['somebody']);
    $text = FoundLoader::of('BOOTX64.EFI', 'files', '', 'text', 4, $judge, $tool);
    expect($text->toArray())->toMatchArray(['fault' => 'it is no PE file, so firmware takes it for missing', 'trust' => null, 'because' => '', 'signers' => [], 'digest' => null]);
    $enrolled = new LoaderJudge(Images::tools(chains: ['P' => [$signed]])->signatures(), new Signers(['platform' => 'P'], [], 'here'));
    expect(FoundLoader::of('BOOTX64.EFI', 'files', '', $signed, strlen($signed), $enrolled, $tool)->trust)->toBe(LoaderTrust::Trusted)->and(FoundLoader::of('BOOTX64.EFI', 'files', '', $signed, strlen($signed), $enrolled, $tool, true)->trust)->toBe(LoaderTrust::NextStage);
});

it('counts files within bounds', function () {
    $count = FileCount::of(new ListedFiles([
        ['path' => 'a', 'bytes' => -5, 'directory' => false], ['path' => 'dir', 'bytes' => 0, 'directory' => true], ['path' => 'b', 'bytes' => 7, 'directory' => false], ['path' => "c\xFF", 'bytes' => PHP_INT_MAX, 'directory' => false], ['path' => 'd', 'bytes' => 1 << 50, 'directory' => false],
        ['path' => 'efi/boot/bootx64.efi', 'bytes' => 1, 'directory' => false], ['path' => 'EFI/BOOT/OTHER.EFI', 'bytes' => 1, 'directory' => false], ['path' => 'x/EFI/BOOT/BOOTIA32.EFI', 'bytes' => 1, 'directory' => false],
    ]), 'iso');
    expect($count->toArray())->toBe(['count' => 7, 'directories' => 1, 'bytes' => 2 * (1 << 50) + 10, 'largest' => ['path' => 'c?', 'bytes' => 1 << 50], 'complete' => true, 'tree' => 'iso'])->and($count->loaders)->toBe(['BOOTX64.EFI' => 'efi/boot/bootx64.efi'])->and($count->links)->toBe(0)
        ->and(FileCount::of(new ListedFiles([]), 'udf')->toArray())->toBe(['count' => 0, 'directories' => 0, 'bytes' => 0, 'largest' => null, 'complete' => true, 'tree' => 'udf']);
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
    expect($many(300_000))->complete->toBeTrue()->count->toBe(150_000)->and($many(300_001))->complete->toBeFalse()->directories->toBe(150_000)->bytes->toBe(150_000);
});

it('reads nothing where only the size is known', function () {
    $known = new PartlyKnown(new StringSource('head'), 100);
    expect($known->size())->toBe(100)->and($known->read(1, 2))->toBe('ea')->and($known->read(50, 5))->toBe('');
});

it('looks at the next stage beside the first, in a volume and among files', function () {
    $fat = Images::bytes('fat16.img');
    $look = fn (?string $next, array $files) => ImageInspector::inspect(new StringSource($fat), 'x', Images::tools($files), Signers::unknown(), $next)->loaders[0];
    expect($look(null, []))->toMatchArray(['trust' => 'unsigned', 'where' => 'volume', 'place' => 'in the file system']);
    $first = Images::bytes('first-signed.efi');
    $signers = new Signers(['platform' => 'P'], [], 'here');
    $iso = fn (array $files, ?string $next) => ImageInspector::inspect(Images::source('plain.iso'), 'x', Images::tools($files, chains: ['P' => [$first]]), $signers, $next)->loaders[0]['trust'];
    expect($iso(['EFI/BOOT/BOOTX64.EFI' => $first], null))->toBe('trusted')->and($iso(['EFI/BOOT/BOOTX64.EFI' => $first], 'EFI/BOOT/NEXT.EFI'))->toBe('next-stage')
        ->and($iso(['EFI/BOOT/BOOTX64.EFI' => $first, 'EFI/BOOT/NEXT.EFI' => $first], 'EFI/BOOT/NEXT.EFI'))->toBe('trusted')->and($iso(['EFI/BOOT/BOOTX64.EFI' => $first, 'EFI/BOOT/NEXT.EFI' => 'x'], 'EFI/BOOT/NEXT.EFI'))->toBe('next-stage');
});
