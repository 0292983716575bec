<?php

use Cobblestone\Media\Inspection\ImageInspector;
use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Media\Inspection\Signers;
use Cobblestone\Storage\Reading\StringSource;
use Tests\Support\Images;

/**
 * @param  array<string, string>  $files
 */
function inspected(
    string $bytes,
    array $files = [],
    ?string $head = null,
    string $name = 'image.iso',
    ?string $next = null,
): ImageReport {
    return ImageInspector::inspect(
        new StringSource($bytes),
        $name,
        Images::tools($files, $head),
        Signers::unknown(),
        $next,
    );
}

/** @return array<string, string> */
function treeWithLoader(): array
{
    return [
        'EFI/' => '',
        'EFI/BOOT/' => '',
        'EFI/BOOT/BOOTX64.EFI' => Images::bytes('signed.efi'),
        'Read me first.txt' => 'Orrin',
        'payload/system.img' => str_repeat('p', 5000),
    ];
}
