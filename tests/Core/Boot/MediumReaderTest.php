<?php

use App\Devices\StandIn\LoaderFile;
use Cobblestone\Boot\Medium\FirmwareTable;
use Cobblestone\Boot\Medium\FirstStage;
use Cobblestone\Boot\Medium\Leads;
use Cobblestone\Boot\Medium\LegacyCode;
use Cobblestone\Boot\Medium\LegacySector;
use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Medium\MediumReader;
use Cobblestone\Media\Inspection\PeImage;
use Cobblestone\Media\Inspection\SignatureTool;
use Cobblestone\Media\Inspection\Signers;
use Cobblestone\Storage\Reading\StringSource;

/** Sector 0 with that code, and entries of a table: [active, type, first, count]. */
function sectorZero(string $code, array $entries = [], string $mark = "\x55\xAA"): string
{
    $table = '';
    foreach ($entries as [$active, $type, $first, $count]) {
        $table .= chr($active ? 0x80 : 0)."\0\0\0".chr($type)."\0\0\0".pack('VV', $first, $count);
    }

    return str_pad($code, 446, "\0").str_pad($table, 64, "\0").$mark;
}

it('judges the code in sector 0 by what it calls', function (string $sector, LegacyCode $code) {
    expect(LegacySector::judge(new StringSource($sector)))->toBe($code);
})->with([
    'no mark' => [sectorZero("\xEB\xFE", mark: "\0\0"), LegacyCode::NoMark],
    'nothing there' => ['', LegacyCode::NoMark],
    'zeros' => [sectorZero(''), LegacyCode::Zeros],
    'a table and zeros' => [sectorZero('', [[true, 0x0C, 1, 4]]), LegacyCode::Zeros],
    'prints and stays: all there is' => [sectorZero("\xB4\x0E\xCD\x10\xEB\xFE"), LegacyCode::Starts],
    'prints and waits for a key' => [sectorZero("\xCD\x10\xCD\x16\xEB\xFE"), LegacyCode::Stops],
    'prints and starts over' => [sectorZero("\xCD\x10\xCD\x19"), LegacyCode::Stops],
    'says that it has nothing' => [sectorZero("\xCD\x10\xF4This is not a bootable disk."), LegacyCode::Stops],
    'says so, and gives back' => [sectorZero("\xCD\x18 Missing system"), LegacyCode::Stops],
    'gives back only' => [sectorZero("\x90\xCD\x18"), LegacyCode::Returns],
    'neither: it waits on the spot' => [sectorZero("\xEB\xFE"), LegacyCode::Starts],
    'reads the disk' => [sectorZero("\xB4\x02\xCD\x13\xEA"), LegacyCode::Starts],
    'walks the table, nothing active, gives back' => [
        sectorZero("\xBE\xBE\x07\xCD\x13\xCD\x18", [[false, 0x0C, 1, 4]]),
        LegacyCode::Returns,
    ],
    'walks the table, nothing active, prints' => [
        sectorZero("\xBE\xBE\x7D\xCD\x13\xCD\x10", [[false, 0x0C, 1, 4]]),
        LegacyCode::Stops,
    ],
    'active partition with a loader' => [
        sectorZero("\xBD\xBE\x07\xCD\x13\xCD\x18", [[true, 0x0C, 1, 1]]).sectorZero("\xB4\x02\xCD\x13"),
        LegacyCode::Starts,
    ],
    'active partition that only prints' => [
        sectorZero("\xBF\xBE\x07\xCD\x13\xCD\x18", [[true, 0x0C, 1, 1]]).sectorZero("\xCD\x10\xCD\x16"),
        LegacyCode::Stops,
    ],
    'active partition of zeros' => [
        sectorZero("\xBE\xBE\x07\xCD\x13\xCD\x18", [[true, 0x0C, 1, 1]]).sectorZero(''),
        LegacyCode::Zeros,
    ],
    'active partition without a mark, gives back' => [
        sectorZero("\xBE\xBE\x07\xCD\x13\xCD\x18", [[true, 0x0C, 1, 1]]).str_repeat("\0", 512),
        LegacyCode::Returns,
    ],
    'active partition without a mark, prints' => [
        sectorZero("\xBE\xBE\x07\xCD\x13\xCD\x10", [[true, 0x0C, 1, 1]]).str_repeat("\0", 512),
        LegacyCode::Stops,
    ],
    'active entries that lead round' => [
        sectorZero("\xBE\xBE\x07\xCD\x13\xCD\x18", [[true, 0x0C, 0, 1]]),
        LegacyCode::Unknown,
    ],
    'has words for it' => [sectorZero(''), LegacyCode::Zeros],
]);

it('names every kind of code', function (LegacyCode $code) {
    expect($code->title())->toContain('sector 0');
})->with(LegacyCode::cases());

it('finds volumes the way firmware does', function (string $device, ?string $fault, int $volumes) {
    $table = FirmwareTable::read(new StringSource($device));
    expect($table->fault)->toBe($fault)->and(count($table->volumes))->toBe($volumes);
})->with([
    'nothing' => ['', 'there is nothing on it', 0],
    'zeros' => [str_repeat("\0", 4096), 'it has neither a partition table nor a file system that firmware knows', 0],
    'MBR' => [sectorZero('', [[false, 0x83, 1, 2], [false, 0x0C, 3, 4]]).str_repeat("\0", 512 * 8), null, 2],
    'MBR past the end' => [
        sectorZero('', [[false, 0x0C, 1, 200]]).str_repeat("\0", 512 * 8),
        'it has neither a partition table nor a file system that firmware knows',
        0,
    ],
    'MBR to the last sector' => [sectorZero('', [[false, 0x0C, 1, 8]]).str_repeat("\0", 512 * 8), null, 1],
    'MBR that overlaps' => [
        sectorZero('', [[false, 0x0C, 1, 4], [false, 0x0C, 4, 2]]).str_repeat("\0", 512 * 8),
        'it has neither a partition table nor a file system that firmware knows',
        0,
    ],
    'protective, no GPT' => [
        sectorZero('', [[false, 0xEE, 1, 0x7FFFFFFF]]).str_repeat("\0", 512 * 8),
        'its MBR announces a GPT, but neither copy is whole',
        0,
    ],
    'empty table' => [
        sectorZero('x').str_repeat("\0", 512 * 8),
        'it has neither a partition table nor a file system that firmware knows',
        0,
    ],
]);

it('knows the next loader of one that carries a certificate, by the name in it', function () {
    $name = mb_convert_encoding('\\mmx64.efi'."\0".'\\nextx64.efi'."\0", 'UTF-16LE');
    $first = LoaderFile::make('first', sections: ['.vendor_cert' => 'certificate', '.data' => $name]);
    $plain = LoaderFile::make('plain', sections: ['.data' => $name]);
    $silent = LoaderFile::make('first', sections: ['.vendor_cert' => 'certificate']);
    expect(FirstStage::nextFile(PeImage::read($first), $first))
        ->toBe('nextx64.efi')
        ->and(FirstStage::nextFile(PeImage::read($plain), $plain))
        ->toBeNull()
        ->and(FirstStage::nextFile(PeImage::read($silent), $silent))
        ->toBeNull();
});

it('keeps a medium through JSON', function () {
    $tool = new class implements SignatureTool
    {
        public function signers(string $loader): array
        {
            return [];
        }

        public function certificates(string $loader): array
        {
            return [];
        }

        public function chainsTo(string $loader, string $certificate): bool
        {
            return false;
        }
    };
    $medium = MediumReader::read(
        new StringSource(sectorZero('', [[false, 0x0C, 1, 4]]).str_repeat("\0", 4096)),
        $tool,
        Signers::unknown(),
    );
    expect($medium->leads)
        ->toBe(Leads::Installer)
        ->and($medium->volumes[0]->fat)
        ->toBeFalse()
        ->and(Medium::fromArray(json_decode(json_encode($medium->toArray()), true)))
        ->toEqual($medium)
        ->and(Medium::blank()->tableFault)
        ->not->toBeNull();
});

it('looks at the last sector for the GPT\'s copy, and at nothing past the end', function () {
    $disk = Tests\Support\Images::bytes('disk-gpt.img');
    $read = fn (string $device): FirmwareTable => FirmwareTable::read(new StringSource($device));
    expect($read($disk)->words)
        ->toBe('a protective MBR, and the GPT at the start is whole')
        ->and(count($read($disk)->volumes))
        ->toBe(2)
        ->and($read($disk)->volumes[0]['title'])
        ->toBe('Partition 1')
        ->and($read($disk)->volumes[0]['guid'])
        ->toMatch('/^[0-9A-F-]{36}$/')
        ->and($read($disk)->volumes[0]['source']->size())
        ->toBe(4096 * 512);
    $damaged = substr_replace($disk, 'XXXX', 512 + 40, 4);
    expect($read($damaged)->words)
        ->toBe('a protective MBR; the GPT at the start is damaged, its copy at the end is whole and is used')
        ->and(count($read($damaged)->volumes))
        ->toBe(2)
        ->and($read($damaged)->fault)
        ->toBeNull()
        ->and($read(substr($damaged, 0, -512))->fault)
        ->toBe('its MBR announces a GPT, but neither copy is whole')
        ->and($read($damaged.str_repeat("\0", 512))->fault)
        ->toBe('its MBR announces a GPT, but neither copy is whole')
        ->and(count($read(substr($disk, 0, 6144 * 512))->volumes))
        ->toBe(1)
        ->and(count($read(substr($disk, 0, 6145 * 512))->volumes))
        ->toBe(2);
    $both = Tests\Support\Images::bytes('both.iso');
    expect($read($both)->byOptical)
        ->toBeTrue()
        ->and($read($both)->words)
        ->toBe('an optical start catalogue, and no partition table')
        ->and($read($both)->volumes[0]['title'])
        ->toBe('The optical start image')
        ->and($read(Tests\Support\Images::bytes('plain.iso'))->byOptical)
        ->toBeFalse()
        ->and($read(Tests\Support\Images::bytes('fat12.img'))->words)
        ->toBe('no table: a file system begins in sector 0')
        ->and($read(Tests\Support\Images::bytes('fat12.img'))->volumes[0]['title'])
        ->toBe('The whole device')
        ->and($read(str_repeat('x', 511))->fault)
        ->toBe('there is nothing on it')
        ->and($read(str_repeat('x', 512))->fault)
        ->not->toBe('there is nothing on it');
});

it('reads a stick with sectors of 4096 bytes as one', function () {
    $layout = Cobblestone\Storage\LayoutBuilder::build(
        Cobblestone\Storage\Scheme::Gpt,
        Cobblestone\Storage\SectorSize::B4096,
        Cobblestone\Quantity\Bytes::of(48 * 1_048_576),
        [
            new Cobblestone\Storage\PartitionRequest(
                'start',
                Cobblestone\Storage\PartitionType::EfiSystem,
                null,
                'none',
                'installer',
            ),
        ],
        'stick x',
    );
    $bytes = str_repeat("\0", 48 * 1_048_576);
    foreach (Cobblestone\Storage\TableBytes::of($layout) as $at => $part) {
        $bytes = substr_replace($bytes, $part, $at, strlen($part));
    }
    $table = FirmwareTable::read(new StringSource($bytes));
    $extent = $layout->partitions[0]->extent;
    expect($table->words)
        ->toBe('a protective MBR, and the GPT at the start is whole, sectors of 4096 bytes')
        ->and($table->volumes[0]['source']->size())
        ->toBe($extent->count * 4096)
        ->and(FirmwareTable::read(new StringSource($bytes), 4096)->volumes)
        ->toHaveCount(1)
        ->and(FirmwareTable::read(new StringSource($bytes), 512)->fault)
        ->toBe('its MBR announces a GPT, but neither copy is whole');
});
