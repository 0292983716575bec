<?php

namespace App\Devices\Inspection;

use Cobblestone\Media\Inspection\ImageInspector;
use Cobblestone\Media\Inspection\ImageReport;
use RuntimeException;

/** Inspects a file on this computer with the tools of this computer. */
final class Inspection
{
    /** @throws RuntimeException where the file cannot be read */
    public static function of(string $path, ?string $nextStage = null): ImageReport
    {
        return ImageInspector::inspect(
            new FileSource($path),
            basename($path),
            new FileTools($path),
            SignerFolder::read((string) config('cobblestone.signers')),
            $nextStage,
        );
    }
}
