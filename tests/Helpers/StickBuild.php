<?php

use App\Devices\Stick\StandInStick;
use Cobblestone\Media\Build\BuildSteps;
use Cobblestone\Media\Build\StickPlan;
use Tests\Support\Workshop;

/** The stick's files as mtools takes them off, in a folder. */
function takenOff(StickPlan $plan, string $stick, string $to): string
{
    mkdir($to);
    putenv('MTOOLS_SKIP_CHECK=1');
    Workshop::says(
        'mcopy',
        '-s',
        '-n',
        '-i',
        BuildSteps::drive(BuildSteps::target($plan), $plan, $stick),
        '::/*',
        "{$to}/",
    );

    return $to;
}

/** @param  array<string, mixed>  $faults */
function standIn(Workshop $shop, array $faults, int $bytes = 300_000_256): StandInStick
{
    return StandInStick::open("{$shop->folder}/sticks", 'gull', [
        'serial' => 'GL-1',
        'bytes' => $bytes - $bytes % 512,
        'sector_bytes' => 512,
        'write_mb_s' => 100,
        'faults' => $faults,
    ]);
}
