<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Proof;

use Cobblestone\Machine\Drive;

/** Names of rows that there are several of: what a reading finds its row by. */
final class RowId
{
    public const DEVICE = 'device.';

    public const ALIKE = 'alike.';

    public const DRIVE = 'drive.';

    public const SETTING = 'setting.';

    public const LINK = 'link.';

    /** By what names it and no other; null for a drive that reports neither serial nor WWN of its own (rule K2). */
    public static function drive(Drive $drive): ?string
    {
        $identity = $drive->identity();

        return $identity === null ? null : self::DRIVE.self::plain($identity);
    }

    public static function device(string $identifier): string
    {
        return self::DEVICE.self::plain($identifier);
    }

    public static function alike(string $identifier): string
    {
        return self::ALIKE.self::plain($identifier);
    }

    public static function link(string $identifier): string
    {
        return self::LINK.self::plain($identifier);
    }

    public static function setting(string $id): string
    {
        return self::SETTING.self::plain($id);
    }

    /** What stands in the name of a field: readings are hostile, names of fields are not. */
    private static function plain(string $text): string
    {
        return mb_substr((string) preg_replace('/[^A-Za-z0-9:._-]+/', '-', $text), 0, 80);
    }
}
