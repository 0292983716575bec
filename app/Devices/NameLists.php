<?php

declare(strict_types=1);

namespace App\Devices;

use App\Database\Kept;
use Cobblestone\Machine\Identifier\Bus;
use Cobblestone\Machine\Identifier\IdentifierNames;

/** Names of makers and devices: the demo list, or the lists that the bench points to (rule D1). */
final class NameLists
{
    /** Bytes of a list; the longest known one has a tenth. */
    private const LONGEST = 16_000_000;

    public static function read(): IdentifierNames
    {
        $names = IdentifierNames::read(Bus::Pci, '');
        foreach ([Bus::Pci, Bus::Usb] as $bus) {
            $file = (string) config("cobblestone.names.{$bus->value}");
            if ($file === '' || ! is_file($file)) {
                continue;
            }
            $read = Kept::of(
                "names {$file} ".filemtime($file).' '.filesize($file),
                static fn (): IdentifierNames => IdentifierNames::read(
                    $bus,
                    (string) file_get_contents($file, false, null, 0, self::LONGEST),
                ),
            );
            $names = $names->and($read);
        }

        return $names;
    }
}
