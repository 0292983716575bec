<?php

namespace App\Devices;

/**
 * Folders of driver files that can go along on a stick: what lies in the bench's folder of drivers, one folder a set.
 */
final class DriverFolders
{
    /** The bench's own collector, which goes along like a driver. */
    public const COLLECTOR = 'collector';

    private const NAME = '/^[A-Za-z0-9][A-Za-z0-9 ._-]{0,79}$/';

    /** @return list<string> */
    public static function names(): array
    {
        $root = (string) config('cobblestone.drivers');

        return array_values(
            array_filter(
                is_dir($root) ? (scandir($root) ?: []) : [],
                static fn (string $name): bool => preg_match(self::NAME, $name) === 1 &&
                    is_dir("{$root}/{$name}") &&
                    ! is_link("{$root}/{$name}"),
            ),
        );
    }

    /** Where the drivers of a job are unpacked. */
    public static function ofJob(int $number): string
    {
        return sprintf('job %04d', $number);
    }

    /** Null where there is no such folder. */
    public static function path(?string $name): ?string
    {
        if ($name === self::COLLECTOR) {
            return base_path('collector');
        }

        return $name !== null && in_array($name, self::names(), true)
            ? config('cobblestone.drivers')."/{$name}"
            : null;
    }
}
