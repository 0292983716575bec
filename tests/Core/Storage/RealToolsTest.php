<?php

use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Fat32Geometry;
use Cobblestone\Storage\Layout;
use Cobblestone\Storage\LayoutBuilder;
use Cobblestone\Storage\PartitionRequest;
use Cobblestone\Storage\PartitionType;
use Cobblestone\Storage\Scheme;
use Cobblestone\Storage\SectorSize;
use Cobblestone\Storage\SfdiskScript;
use Cobblestone\Storage\TableBytes;
use Symfony\Component\Process\Process;
use Tests\Support\Demo;

pest()->group('tools');

beforeEach(function () {
    $this->file = tempnam(sys_get_temp_dir(), 'cobble');
    $this->device = function (int $bytes) {
        $handle = fopen($this->file, 'w');
        ftruncate($handle, $bytes);
        fclose($handle);
    };
    $this->write = function (Layout $layout) {
        ($this->device)($layout->device->count);
        $handle = fopen($this->file, 'r+');
        foreach (TableBytes::of($layout) as $offset => $bytes) {
            fseek($handle, $offset);
            fwrite($handle, $bytes);
        }
        fclose($handle);
    };
    $this->run = function (array $command, string $input = '') {
        $process = new Process(
            $command,
            env: ['LC_ALL' => 'C', 'PATH' => '/usr/sbin:/usr/bin:/sbin:/bin'],
            input: $input,
            timeout: 60,
        );
        $process->run();
        expect($process->getExitCode())->toBe(0, $process->getErrorOutput().$process->getOutput());

        return $process->getOutput();
    };
});

afterEach(fn () => @unlink($this->file));

/** @return list<array{int, int}> first sector and count */
function extents(Layout $layout): array
{
    return array_map(fn ($partition) => [$partition->extent->first, $partition->extent->count], $layout->partitions);
}

function randomLayout(int $seed, SectorSize $sector, Scheme $scheme): Layout
{
    mt_srand($seed);
    $requests = [
        new PartitionRequest('EFI system', PartitionType::EfiSystem, Bytes::mebi(mt_rand(270, 600)), 'fat32'),
        new PartitionRequest('system', PartitionType::BasicData, null, 'ntfs'),
        new PartitionRequest('recovery', PartitionType::Recovery, Bytes::mebi(mt_rand(1, 900)), 'ntfs'),
    ];

    return LayoutBuilder::build(
        $scheme,
        $sector,
        Bytes::of(mt_rand(8000, 900_000) * 1_000_003),
        $requests,
        "seed {$seed}",
    );
}

it('is read back by sfdisk sector by sector', function (int $seed, Scheme $scheme) {
    $layout = randomLayout($seed, SectorSize::B512, $scheme);
    ($this->write)($layout);
    $read = json_decode(($this->run)(['sfdisk', '--json', $this->file]), true)['partitiontable'];
    expect(array_map(fn ($partition) => [$partition['start'], $partition['size']], $read['partitions']))
        ->toBe(extents($layout))
        ->and($read['label'])
        ->toBe($scheme === Scheme::Gpt ? 'gpt' : 'dos');
    if ($scheme === Scheme::Gpt) {
        expect(array_map(fn ($partition) => strtoupper($partition['type']), $read['partitions']))
            ->toBe(array_map(fn ($partition) => $partition->type->guid(), $layout->partitions))
            ->and(strtoupper($read['id']))
            ->toBe($layout->diskGuid->text)
            ->and([$read['firstlba'], $read['lastlba']])
            ->toBe([34, $layout->sectors() - 34]);
    }
    expect(($this->run)(['sfdisk', '--verify', $this->file]))->toContain('No errors detected');
})->with([[1, Scheme::Gpt], [2, Scheme::Gpt], [3, Scheme::Gpt], [4, Scheme::Mbr], [5, Scheme::Mbr]]);

it('is made the same by sfdisk from the exported script', function (int $seed, Scheme $scheme) {
    $layout = randomLayout($seed, SectorSize::B512, $scheme);
    ($this->device)($layout->device->count);
    ($this->run)(['sfdisk', '--quiet', $this->file], SfdiskScript::of($layout));
    $read = json_decode(($this->run)(['sfdisk', '--json', $this->file]), true)['partitiontable'];
    expect(array_map(fn ($partition) => [$partition['start'], $partition['size']], $read['partitions']))->toBe(
        extents($layout),
    );
})->with([[6, Scheme::Gpt], [7, Scheme::Mbr]]);

it('is read by fdisk in sectors of 4096 bytes', function (int $seed) {
    $layout = randomLayout($seed, SectorSize::B4096, Scheme::Gpt);
    ($this->write)($layout);
    $lines = ($this->run)(['fdisk', '-b', '4096', '-l', '-o', 'Start,Sectors', $this->file]);
    preg_match_all('/^\s*(\d+)\s+(\d+)\s*$/m', $lines, $found, PREG_SET_ORDER);
    expect(array_map(fn ($row) => [(int) $row[1], (int) $row[2]], $found))
        ->toBe(extents($layout))
        ->and($lines)
        ->toContain('Disklabel type: gpt')
        ->not->toContain('corrupt');
})->with([11, 12, 13]);

it('accepts the layouts of the four demo jobs', function (string $job) {
    foreach (array_filter(Demo::plan($job)->layouts->all()) as $of) {
        $data = $of['after'];
        if (! in_array($data['scheme'], ['gpt', 'mbr'], true) || isset($data['written_bytes'])) {
            continue;
        }
        $requests = array_map(
            fn ($partition) => new PartitionRequest(
                $partition['name'],
                PartitionType::from($partition['type']),
                Bytes::of($partition['bytes']),
                $partition['file_system'],
            ),
            $data['partitions'],
        );
        $layout = LayoutBuilder::build(
            Scheme::from($data['scheme']),
            SectorSize::from($data['sector_bytes']),
            Bytes::of($data['device_bytes']),
            $requests,
            'demo',
        );
        expect(extents($layout))->toBe(
            array_map(fn ($partition) => [$partition['first_sector'], $partition['sectors']], $data['partitions']),
        );
        ($this->write)($layout);
        $lines = ($this->run)([
            'fdisk',
            '-b',
            (string) $data['sector_bytes'],
            '-l',
            '-o',
            'Start,Sectors',
            $this->file,
        ]);
        preg_match_all('/^\s*(\d+)\s+(\d+)\s*$/m', $lines, $found, PREG_SET_ORDER);
        expect(array_map(fn ($row) => [(int) $row[1], (int) $row[2]], $found))->toBe(extents($layout));
    }
})->with(['fairlead-13', 'capstan-t3', 'pocket-lantern']);

it('plans the geometry that mkfs.vfat makes when told every value, and fsck.vfat accepts it', function (
    int $mebi,
    SectorSize $sector,
) {
    $geometry = Fat32Geometry::forSectors($mebi * $sector->perMebi(), $sector);
    ($this->device)($mebi * 1_048_576);
    ($this->run)([
        'mkfs.vfat',
        '-F',
        '32',
        '-S',
        (string) $sector->value,
        '-s',
        (string) $geometry->sectorsPerCluster,
        '-R',
        (string) Fat32Geometry::RESERVED_SECTORS,
        '-f',
        (string) Fat32Geometry::COPIES,
        '-a',
        $this->file,
    ]);
    $boot = file_get_contents($this->file, false, null, 0, 90);
    expect(unpack('v', $boot, 11)[1])
        ->toBe($sector->value)
        ->and(ord($boot[13]))
        ->toBe($geometry->sectorsPerCluster)
        ->and(unpack('v', $boot, 14)[1])
        ->toBe(32)
        ->and(ord($boot[16]))
        ->toBe(2)
        ->and(unpack('V', $boot, 32)[1])
        ->toBe($geometry->sectors)
        ->and(unpack('V', $boot, 36)[1])
        ->toBe($geometry->fatSectors);
    expect(($this->run)(['fsck.vfat', '-n', '-v', $this->file]))->toContain("{$geometry->clusters} clusters");
})->with(function () {
    foreach ([34, 100, 259, 260, 261, 1000, 4095, 8191, 8192, 8193, 15_268, 16_385, 32_769, 61_057] as $mebi) {
        yield "{$mebi} MiB, 512" => [$mebi, SectorSize::B512];
    }
    foreach ([270, 1000, 8193, 30_000] as $mebi) {
        yield "{$mebi} MiB, 4096" => [$mebi, SectorSize::B4096];
    }
});
