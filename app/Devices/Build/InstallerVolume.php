<?php

declare(strict_types=1);

namespace App\Devices\Build;

use Cobblestone\Media\Build\BuildSteps;
use Cobblestone\Media\Build\GeometryCheck;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Storage\Reading\ByteSource;
use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\TableReader;
use Cobblestone\Storage\Reading\WindowSource;

/** The partition of a stick that the installer's files stand on. */
final class InstallerVolume
{
    /** @throws BuildFailure where table or file system are not exactly as planned */
    public static function asPlanned(StickPlan $plan, ByteSource $device): WindowSource
    {
        $differences = GeometryCheck::differences($plan, $device);
        if ($differences !== []) {
            throw BuildFailure::of(
                'mismatch',
                'What is on the stick is not what was planned. '.implode(' ', $differences),
            );
        }
        $target = BuildSteps::target($plan);

        return new WindowSource(
            $device,
            $target->extent->first * $plan->sector,
            $target->extent->count * $plan->sector,
        );
    }

    /**
     * The one FAT volume, wherever another computer's tools have put it.
     *
     * @throws BuildFailure where there is none, or more than one
     */
    public static function found(StickPlan $plan, ByteSource $device): WindowSource
    {
        $table = TableReader::read($device, known: $plan->sector);
        $scheme = $plan->layout?->scheme->value;
        if ($table->scheme !== $scheme) {
            throw BuildFailure::of(
                'mismatch',
                "The table on the stick is {$table->scheme}, planned is {$scheme}.",
            );
        }
        $found = [];
        foreach ($table->volumes() as $partition) {
            $window = $table->open($partition, $device);
            FatVolume::open($window) === null || $found[] = $window;
        }

        return match (count($found)) {
            1 => $found[0],
            0 => throw BuildFailure::of('mismatch', 'There is no FAT file system on the stick.'),
            default => throw BuildFailure::of('mismatch', count($found).' FAT file systems are on the stick, and one '
                .'was planned.'),
        };
    }
}
