<?php

// Acceptance of 60 rows, and a log of a million frames: milliseconds, seconds and megabytes.

declare(strict_types=1);

use Cobblestone\Machine\Device;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Source;
use Cobblestone\Tuning\Frames\FrameLog;
use Cobblestone\Tuning\Frames\FrameRun;
use Cobblestone\Tuning\Frames\FrameSettings;
use Cobblestone\Tuning\Proof\AcceptanceTable;
use Cobblestone\Tuning\Proof\DeviceRows;
use Cobblestone\Tuning\Proof\MachineRows;
use Cobblestone\Tuning\Proof\Promises;
use Cobblestone\Tuning\Proof\ReadBack;
use Cobblestone\Tuning\Proof\SystemRows;
use Cobblestone\Tuning\ProofScope;

require __DIR__.'/../vendor/autoload.php';

$sheet = FactSheet::empty();
foreach (['cores' => 8, 'threads' => 16, 'memory_bytes' => 2 ** 34, 'firmware.version' => '1.16'] as $name => $value) {
    $sheet = $sheet->with(Fact::of($name, $value, Source::Reading, 'dmidecode'));
}
$devices = array_map(
    static fn (int $i): Device => new Device("Device {$i}", sprintf('pci:4f51:%04x', $i), 'other', status: 'OK'),
    range(1, 54),
);
$machine = new Machine('Cobalt Mole', Kind::Desktop, $sheet, devices: $devices);
$times = [];
for ($i = 0; $i < 25; $i++) {
    $began = hrtime(true);
    $of = new Promises($machine, firmware: '1.16', rate: 3200, encrypted: true, build: 7200, activates: true);
    $rows = [...MachineRows::of($of), ...DeviceRows::of($of), ...SystemRows::of($of, ProofScope::Whole)];
    $table = AcceptanceTable::of($rows, (new ReadBack($machine))->all($rows));
    $times[] = (hrtime(true) - $began) / 1e6;
}
sort($times);
$lines = (static function (): Generator {
    yield "frame_ms\n";
    for ($i = 0; $i < 1_000_000; $i++) {
        yield sprintf("%.3f\n", 16 + ($i * 7919 % 1000) / 500);
    }
})();
$began = hrtime(true);
$run = FrameRun::of([FrameLog::read('run.csv', $lines)], new FrameSettings(null, null));
printf(
    "%d %.2f %d %.2f %.1f\n",
    count($table->rows),
    $times[12],
    $run->frames,
    (hrtime(true) - $began) / 1e9,
    memory_get_peak_usage(true) / 1e6,
);
