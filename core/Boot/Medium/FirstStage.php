<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Medium;

use Cobblestone\Media\Inspection\PeImage;

/** A first loader that carries a certificate of its own and loads the next from its folder: which file that is. */
final class FirstStage
{
    private const SECTION = '.vendor_cert';

    /** Longest name that is looked for, in characters. */
    private const LONGEST = 32;

    /** Its other companions: a manager of keys, and a fallback that only enters lines into the list. */
    private const NOT_NEXT = '/^(mm|fb|fallback|mokmanager)/i';

    /** Name of the next loader's file; null where the loader is not of that kind. */
    public static function nextFile(PeImage $loader, string $bytes): ?string
    {
        if ($loader->section(self::SECTION) === null && $loader->section('.vendor_') === null) {
            return null;
        }
        preg_match_all(
            '/\\\\\x00((?:[A-Za-z0-9_-]\x00){1,'.self::LONGEST.'})\.\x00[eE]\x00[fF]\x00[iI]\x00\x00\x00/',
            $bytes,
            $found,
        );
        foreach ($found[1] as $name) {
            $name = str_replace("\0", '', $name);
            if (preg_match(self::NOT_NEXT, $name) !== 1) {
                return "{$name}.efi";
            }
        }

        return null;
    }
}
