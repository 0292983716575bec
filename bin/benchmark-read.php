<?php

// Reading a bundle of 20 MB: seconds and peak megabytes of a fresh process. bin/benchmark calls it.
use App\Actions\ReadInventory;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

if (($argv[1] ?? '') === 'make') {
    // What a collector makes of a machine with many drives, filled up with what it does not need: about 20 MB compressed.
    mt_srand(3);
    $tar = '';
    $add = function (string $name, string $text) use (&$tar): void {
        $head = str_pad($name, 100, "\0")."0000644\0"."0000000\0"."0000000\0".sprintf('%011o', strlen($text))."\0".'00000000000'."\0".'        0';
        $head = str_pad(str_pad($head, 257, "\0")."ustar\00000", 512, "\0");
        $head = substr_replace($head, sprintf('%06o', array_sum(array_map(ord(...), str_split($head))))."\0 ", 148, 8);
        $tar .= $head.$text.str_repeat("\0", (512 - strlen($text) % 512) % 512);
    };
    $add('m/system.txt', "cobblestone-collect 1\ntime: 2026-11-24T10:00:00Z\narchitecture: x86_64\nefi folder: present\n");
    $nodes = array_map(fn (int $i): array => ['id' => "device:{$i}", 'class' => 'generic', 'description' => bin2hex(random_bytes(120)), 'configuration' => ['driver' => bin2hex(random_bytes(60))]], range(1, 6000));
    $add('m/lshw.json', (string) json_encode([['id' => 'm', 'class' => 'system', 'vendor' => 'Norrel', 'product' => 'Fairlead 13', 'serial' => 'NF13-1', 'children' => $nodes]]));
    $drives = array_map(fn (int $i): array => ['name' => "sd{$i}", 'size' => 2000398934016, 'type' => 'disk', 'serial' => "K-{$i}", 'pttype' => 'gpt', 'children' => array_map(fn (int $j): array => ['name' => "sd{$i}{$j}", 'size' => 1000000000, 'type' => 'part', 'fstype' => 'ext4', 'label' => bin2hex(random_bytes(8))], range(1, 16))], range(1, 400));
    $add('m/lsblk.json', (string) json_encode(['blockdevices' => $drives]));
    for ($i = 0; $i < 60; $i++) {
        $add("m/smartctl-sd{$i}.json", (string) json_encode(['smartctl' => ['version' => [7, 3]], 'model_name' => 'Kelpbed 2T', 'serial_number' => "K-{$i}", 'ata_smart_attributes' => ['table' => array_map(fn (int $id): array => ['id' => $id, 'name' => bin2hex(random_bytes(20)), 'raw' => ['value' => $id]], range(1, 250))]]));
    }
    for ($i = 0; $i < 4; $i++) {
        $add("m/other-{$i}.txt", random_bytes(3_900_000));
    }
    file_put_contents($argv[2], gzencode($tar.str_repeat("\0", 1024), 1));
    printf("%.1f\n", filesize($argv[2]) / 1e6);
    exit;
}
$begun = hrtime(true);
$read = (new ReadInventory('2026-11-24T10:00Z'))->file($argv[2], 'm.tar.gz');
printf("%.2f %.1f %d\n", (hrtime(true) - $begun) / 1e9, memory_get_peak_usage(true) / 1e6, count($read->readings));
