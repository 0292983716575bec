<?php

declare(strict_types=1);

namespace App\Devices\StandIn;

use Illuminate\Support\Facades\File;

/** The demo's simulated publishers give out one image that is not on the shelf, over a line that breaks once. */
final class DemoPublisher
{
    public const FILE = 'orrin-small-3.2.img';

    private const BREAKS_AT = 17_000_000;

    /** @param  string  $made  the image; it is moved to the publisher */
    public static function give(string $made): void
    {
        $folder = (string) config('cobblestone.publisher');
        File::ensureDirectoryExists($folder);
        File::move($made, "{$folder}/".self::FILE);
        File::put("{$folder}/SHA256SUMS", hash_file('sha256', "{$folder}/".self::FILE).'  '.self::FILE."\n");
        self::asAtFirst();
    }

    /** Its line breaks once more, and nobody has fetched from it yet. */
    public static function asAtFirst(): void
    {
        $folder = (string) config('cobblestone.publisher');
        File::ensureDirectoryExists($folder);
        File::put("{$folder}/faults.json", (string) json_encode([self::FILE => ['breaks_at' => self::BREAKS_AT]]));
        File::delete(config('cobblestone.shelf').'/'.self::FILE);
        File::deleteDirectory(config('cobblestone.state').'/fetch');
    }
}
