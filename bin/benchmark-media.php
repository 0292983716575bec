<?php

// One measurement of the media workshop, in a process of its own; prints figures for bin/benchmark to compare.
//   benchmark-media.php inspect FILE | hash FILE | raw IMAGE STICK | files IMAGE STICK BYTES
require __DIR__.'/../vendor/autoload.php';

use App\Bridge\StickBridge;
use App\Devices\Build\Pump;
use App\Devices\Build\SourceFiles;
use App\Devices\Build\StickBuilder;
use App\Devices\Build\Unwatched;
use App\Devices\Inspection\FileSource;
use App\Devices\Inspection\FileTools;
use App\Devices\Inspection\Inspection;
use App\Devices\Stick\FileStick;
use Cobblestone\Media\Build\StickWish;
use Cobblestone\Media\Inspection\ImageInspector;
use Cobblestone\Media\Inspection\Signers;
use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;
use Illuminate\Contracts\Console\Kernel;

$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
[, $what, $file] = $argv;
$seconds = static fn (float $begun): string => sprintf('%.3f', microtime(true) - $begun);
$peak = static fn (): string => sprintf('%.1f', memory_get_peak_usage(true) / 1e6);
$begun = microtime(true);
if ($what === 'inspect') {
    $source = new FileSource($file);
    ImageInspector::inspect($source, basename($file), new FileTools($file), Signers::unknown());
    // What 7-Zip itself read is counted by the kernel for this process's children.
    echo $seconds($begun), ' ', sprintf('%.2f', $source->bytesRead() / 1_048_576), ' ', $peak(), "\n";
} elseif ($what === 'hash') {
    $source = new FileSource($file);
    Pump::hash(Pump::pieces($source, 0, $source->size()));
    echo $seconds($begun), ' ', $peak(), "\n";
} else {
    $stick = FileStick::ofSize($argv[3], (int) $argv[4]);
    $mode = $what === 'raw' ? WriteMode::Raw : WriteMode::FilesCopied;
    $plan = StickBridge::plan($file, Inspection::of($file), null, $stick->target(), new StickWish('benchmark', Bytes::mebi(3800), $mode));
    $result = (new StickBuilder($plan, $stick, new SourceFiles($file), new Unwatched))->build();
    printf("%.3f %.3f %d %s\n", $result->writeSeconds, $result->verifySeconds, $result->bytes, $peak());
}
