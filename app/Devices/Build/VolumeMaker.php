<?php

namespace App\Devices\Build;

use App\Devices\Command;
use Cobblestone\Media\Build\BuildSteps;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Storage\PlannedPartition;

/**
 * A file system for one partition of a stick: made by Debian's own tool in a sparse file of exactly that size,
 * then put in its place. Made right on the stick, mkfs.vfat would count the stick's odd last sector in.
 */
final class VolumeMaker
{
    public static function make(PlannedPartition $partition, StickPlan $plan, string $device): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'cobble-volume');
        try {
            $handle = fopen($file, 'r+b') ?: throw BuildFailure::of('room', 'No scratch file can be made.');
            ftruncate($handle, max(0, $partition->extent->count * $plan->sector));
            if ($partition->fat32 !== null) {
                Command::run(BuildSteps::vfat($partition, $plan, $file), 600);
                $length = BuildSteps::vfatBytes($partition);
            } else {
                Command::run(BuildSteps::exfat($partition, $file), 600);
                Command::run(['fsck.exfat', '-n', $file], 600);
                fseek($handle, 0);
                $length = BuildSteps::exfatBytes((string) fread($handle, 512));
            }
            self::put(
                $handle,
                $device,
                $partition->extent->first * $plan->sector,
                min($length, max(0, $partition->extent->count * $plan->sector)),
            );
            fclose($handle);
        } finally {
            @unlink($file);
        }
    }

    /** @param  resource  $from */
    private static function put($from, string $device, int $at, int $length): void
    {
        $to =
            @fopen($device, 'r+b') ?: throw BuildFailure::of('protected', 'The stick cannot be opened for writing.');
        fseek($from, 0);
        fseek($to, $at);
        if (stream_copy_to_stream($from, $to, $length) !== $length) {
            throw BuildFailure::of('write', 'The file system could not be put onto the stick.');
        }
        fclose($to);
    }
}
