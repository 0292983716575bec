<?php

// What issue 12 promises of drivers, in a process of its own:
//   php bin/benchmark-drivers.php match     "median-ms MB-after-loading MB-peak": 200 devices against 100 000 claims
//   php bin/benchmark-drivers.php audit     "median-ms": a dozen looks at 200 devices
//   php bin/benchmark-drivers.php archive   "seconds claims MB": what a package of 60 MB claims
require __DIR__.'/../vendor/autoload.php';

use App\Devices\Packages\PackageArchive;
use App\Devices\Packages\PackageReader;
use Cobblestone\Drivers\Audit\DeviceReading;
use Cobblestone\Drivers\Audit\DriverAudit;
use Cobblestone\Drivers\Matching\DriverShelf;
use Cobblestone\Drivers\Matching\MatchTarget;
use Cobblestone\Drivers\Matching\OfferedClaim;
use Cobblestone\Drivers\Matching\PackageOffer;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Identifier\AliasList;

function median(int $times, callable $work): float
{
    $all = [];
    for ($i = 0; $i < $times; $i++) {
        $begun = hrtime(true);
        $work();
        $all[] = (hrtime(true) - $begun) / 1e6;
    }
    sort($all);

    return $all[intdiv($times, 2)];
}

/** Of 4 000 devices there are, one; two dozen packages claim each. */
function numbers(int $n): string
{
    return sprintf('%04x:%04x', 0x1000 + $n % 16, $n);
}

/** @return list<PackageOffer> 1 000 of 100 claims each, wide and narrow, old and new, signed or not */
function offers(): array
{
    $offers = [];
    for ($p = 0; $p < 1000; $p++) {
        $claims = [];
        for ($c = 0; $c < 100; $c++) {
            $numbers = numbers(($p * 37 + $c * 41) % 4000);
            $claims[] = new OfferedClaim(
                match ($c % 3) {
                    0 => "pci:{$numbers}",
                    1 => "pci:{$numbers}/4e52:00".sprintf('%02x', $p % 4),
                    2 => "pci:{$numbers}#0".($p % 3),
                },
                $p % 5 === 0 ? 'arm64' : 'x86-64',
                $p % 7 === 0 ? 9000 : null,
            );
        }
        $offers[] = new PackageOffer(
            "p{$p}", "p{$p}.zip", 'a.inf', 'line '.($p % 40), '1.'.($p % 90), sprintf('2026-%02d-01', 1 + $p % 12),
            $claims, signed: $p % 11 !== 0,
        );
    }

    return $offers;
}

/** @return list<Device> */
function devices(): array
{
    $devices = [];
    for ($d = 0; $d < 200; $d++) {
        $numbers = numbers($d * 20);
        $whole = ["pci:{$numbers}/4e52:0001#01@028000"];
        $devices[] = new Device("device {$d}", "pci:{$numbers}", 'network', status: $d % 9 === 0 ? 'Error' : 'OK',
            identifiers: $whole);
    }

    return $devices;
}

if ($argv[1] === 'match') {
    $shelf = new DriverShelf(offers());
    $loaded = memory_get_usage() / 1e6;
    memory_reset_peak_usage();
    $target = new MatchTarget('heron', 'x86-64', 8000, enforced: true);
    $devices = devices();
    $decided = 0;
    $ms = median(15, static function () use ($shelf, $devices, $target, &$decided): void {
        $matches = $shelf->match($devices, $target, new AliasList(['pci:v00001010d*']));
        $decided = array_sum(array_map(static fn ($of): int => count($of->refused) + ($of->package !== null), $matches));
    });
    $decided > 200 || exit("next to nothing was decided: {$decided}\n");
    printf("%.2f %.1f %.1f\n", $ms, $loaded, memory_get_peak_usage() / 1e6);
} elseif ($argv[1] === 'audit') {
    $readings = [];
    for ($look = 0; $look < 12; $look++) {
        $readings[] = array_map(static fn (Device $of, int $n): Device => $n % 12 <= $look ? $of->withStatus('OK') : $of,
            devices(), range(0, 199));
    }
    printf("%.2f\n", median(25, static function () use ($readings): void {
        $audit = new DriverAudit(array_map(static fn (array $of): DeviceReading => new DeviceReading('x', $of), $readings));
        $audit->coverage();
        $audit->steps();
        $audit->left();
    }));
} else {
    $app = require __DIR__.'/../bootstrap/app.php';
    $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
    $folder = sys_get_temp_dir().'/cobble-archive-'.bin2hex(random_bytes(4));
    mkdir("{$folder}/in", recursive: true);
    foreach (range(1, 12) as $n) {
        $lines = array_map(
            static fn (int $i): string => sprintf('"Device %d" = Install, PCI\\VEN_51A2&DEV_%04X&SUBSYS_%04X4E52', $i, $i, $n),
            range(1, 800),
        );
        file_put_contents("{$folder}/in/part{$n}.inf", implode("\r\n", [
            '[Version]', 'Class = Net', 'Provider = Quarrel', 'DriverVer = 11/20/2026,9.1.0.0', '[Manufacturer]',
            'Quarrel = Quarrel, NTamd64', '[Quarrel.NTamd64]', ...$lines, '',
        ]));
        file_put_contents("{$folder}/in/part{$n}.sys", random_bytes(5_000_000));
    }
    exec('cd '.escapeshellarg("{$folder}/in").' && zip -q -1 -r ../package.zip .', $said, $status);
    $begun = hrtime(true);
    $claims = 0;
    foreach (PackageReader::setups(PackageArchive::open("{$folder}/package.zip")) as $of) {
        $claims += count($of['setup']->claims);
    }
    printf("%.2f %d %.1f\n", (hrtime(true) - $begun) / 1e9, $claims, memory_get_peak_usage(true) / 1e6);
    exec('rm -rf '.escapeshellarg($folder));
}
