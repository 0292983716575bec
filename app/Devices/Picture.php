<?php

declare(strict_types=1);

namespace App\Devices;

use RuntimeException;

/**
 * A photo drawn anew (rule L2): only what is seen on it is kept. Position, thumbnail, the camera's number and comments,
 * which may show more than the photo, stay behind. Drawn in a process of its own, because a small file can hold a
 * huge picture.
 */
final class Picture
{
    /** Pixels; a photo of a screen has a third of it. */
    private const MOST_PIXELS = 60_000_000;

    private const SECONDS = 30;

    /** @throws RuntimeException where it is no picture that can be drawn */
    public static function redraw(string $from, string $to, ?BlackAreas $black = null): void
    {
        $size = @getimagesize($from);
        if ($size === false || $size[0] * $size[1] > self::MOST_PIXELS) {
            throw new RuntimeException(
                $size === false
                    ? 'it is no picture'
                    : "it has {$size[0]} x {$size[1]} pixels, far more than a photo of a screen needs",
            );
        }
        Command::run(
            ['php', '-d', 'memory_limit=900M', '-d', 'pcov.enabled=0', __DIR__.'/redraw.php', $from, $to,
                (string) json_encode($black->areas ?? [])],
            self::SECONDS,
            null,
            new Limits(output: 100_000, file: 200_000_000),
        );
        if (! is_file($to) || filesize($to) === 0) {
            throw new RuntimeException('it could not be drawn');
        }
    }
}
