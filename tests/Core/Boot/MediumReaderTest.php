<?php

use App\Devices\StandIn\LoaderFile;
use Cobblestone\Boot\Medium\FirmwareTable;
use Cobblestone\Boot\Medium\FirstStage;
use Cobblestone\Boot\Medium\Leads;
use Cobblestone\Boot\Medium\LegacyCode;
use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Medium\MediumReader;
use Cobblestone\Media\Inspection\PeImage;
use Cobblestone\Media\Inspection\SignatureTool;
use Cobblestone\Media\Inspection\Signers;
use Cobblestone\Storage\Reading\StringSource;

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
        ->toBe('The optical start image for BIOS')
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
