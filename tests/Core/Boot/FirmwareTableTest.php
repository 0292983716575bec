<?php

use Cobblestone\Boot\Medium\FirmwareTable;
use Cobblestone\Boot\Medium\Leads;
use Cobblestone\Boot\Medium\LegacyCode;
use Cobblestone\Boot\Medium\Loader;
use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Medium\Volume;
use Cobblestone\Boot\StickStart;
use Cobblestone\Media\Inspection\LoaderTrust;
use Cobblestone\Storage\Reading\MbrTable;
use Cobblestone\Storage\Reading\StringSource;
use Cobblestone\Storage\Scheme;
use Tests\Support\Images;
use Tests\Support\Tables;

function gptDisk(): string
{
    return Tables::bytes(Tables::layout(Scheme::Gpt, mebi: 40));
}

it('takes a GPT for announced by its entry alone', function (array $patches, bool $announced) {
    $bytes = gptDisk();
    foreach ($patches as $at => $patch) {
        $bytes = substr_replace($bytes, $patch, $at, strlen($patch));
    }
    expect(MbrTable::announcesGpt(new StringSource($bytes)))->toBe($announced)
        ->and(str_contains(FirmwareTable::read(new StringSource($bytes))->words, 'GPT'))->toBe($announced);
})->with([
    'as it is' => [[], true],
    'without 55AA' => [[510 => "\0\0"], true],
    'marked active' => [[446 => "\x80"], true],
    'of another type' => [[450 => "\x0C"], false],
    'beginning elsewhere' => [[454 => "\2"], false],
    'beginning far elsewhere' => [[457 => "\1"], false],
    'in the last of the four places' => [
        [446 => str_repeat("\0", 16), 494 => "\0\0\0\0\xEE\0\0\0\1\0\0\0\xFF\xFF\0\0"], true,
    ],
]);

it('announces none where there is not even a sector', function () {
    expect(MbrTable::announcesGpt(new StringSource('')))->toBeFalse()
        ->and(MbrTable::announcesGpt(new StringSource(str_repeat("\xEE", 460))))->toBeFalse();
});

it('goes by a start catalogue before an MBR', function () {
    $read = fn (string $bytes): FirmwareTable => FirmwareTable::read(new StringSource($bytes));
    $hybrid = Images::bytes('hybrid-mbr.iso');
    expect($read($hybrid)->words)->toBe('an optical start catalogue, which comes before the MBR')
        ->and($read($hybrid)->byOptical)->toBeTrue()
        ->and($read(Images::bytes('disk-gpt.img'))->byOptical)->toBeFalse();
    // Without the catalogue's record the table of the same image counts.
    $without = substr_replace($hybrid, str_repeat("\0", 2048), 17 * 2048, 2048);
    expect($read($without)->words)->toBe('an MBR')->and($read($without)->byOptical)->toBeFalse();
});

it('asks part of a program for its signature before it calls it missing', function (
    ?LoaderTrust $judged,
    string $firmware,
    string $outcome,
) {
    $loader = new Loader('EFI/BOOT/BOOTX64.EFI', 'x86-64', 'part of it is missing', false, judged: $judged);
    $medium = new Medium(Leads::Installer, 'an MBR', null, [new Volume('One', true, [$loader])], LegacyCode::Zeros);
    $facts = [...StickStart::KINDS[$firmware], 'architecture' => 'x86-64'];
    expect(StickStart::toArray(StickStart::predict($medium, $facts))['possible'])->toBe([$outcome]);
})->with([
    [LoaderTrust::Unsigned, 'uefi-secure', 'refused-secure-boot'],
    [LoaderTrust::Altered, 'uefi-secure', 'refused-secure-boot'],
    [LoaderTrust::Unsigned, 'uefi', 'no-boot-device'],
    'nothing of a program in it' => [null, 'uefi-secure', 'no-boot-device'],
]);
