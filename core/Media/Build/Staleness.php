<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

/** Whether the shelf has something newer of the same line than what is on a stick (rule M12). */
final class Staleness
{
    /** Two images are of one line only when all of these agree. */
    private const LINE = ['line', 'edition', 'language', 'architecture', 'channel'];

    /**
     * @param  array<string, string|null>  $shelf
     * @param  array<string, string|null>  $stick
     */
    public static function isNewer(array $shelf, array $stick): bool
    {
        foreach (self::LINE as $part) {
            if (($shelf[$part] ?? '') !== ($stick[$part] ?? '')) {
                return false;
            }
        }
        $versions = [$shelf['version'] ?? '', $stick['version'] ?? ''];

        return ($shelf['line'] ?? '') !== '' &&
            $versions[0] !== '' &&
            $versions[1] !== '' &&
            version_compare($versions[0], $versions[1]) > 0;
    }
}
