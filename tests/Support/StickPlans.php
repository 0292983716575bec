<?php

namespace Tests\Support;

use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\Build\StickPlanner;
use Cobblestone\Media\Build\StickTarget;
use Cobblestone\Media\Build\StickWish;
use Cobblestone\Media\Inspection\ImageInspector;
use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Media\Inspection\Signers;
use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;

/** Plans of sticks for tests of the core: a fixture image, a stick of 8 GB, and wishes that differ. */
final class StickPlans
{
    public const BYTES = 8_000_000_000 - (8_000_000_000 % 512);

    public static function report(string $image = 'hybrid-mbr.iso'): ImageReport
    {
        return ImageInspector::inspect(
            Images::source($image),
            $image,
            Images::tools([
                'EFI/BOOT/BOOTX64.EFI' => Images::bytes('signed.efi'),
                'payload/system.img' => str_repeat('p', 5000),
            ]),
            Signers::unknown(),
        );
    }

    /**
     * @param  array<string, int>  $files
     * @param  array<string, int>  $drivers
     */
    public static function plan(
        array $files = ['EFI/BOOT/BOOTX64.EFI' => 3152, 'payload/system.img' => 5000],
        array $drivers = [],
        int $bytes = self::BYTES,
        mixed ...$wish,
    ): StickPlan {
        return StickPlanner::plan(
            self::report(),
            str_repeat('a', 64),
            new StickTarget($bytes, 512, 'GL-1'),
            new StickWish(
                ...[
                    'title' => 'Orrin Desktop 3',
                    'part' => Bytes::mebi(3800),
                    'mode' => WriteMode::FilesCopied,
                    ...$wish,
                ],
            ),
            $files,
            $drivers,
        );
    }
}
