<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Documents\Schemas;
use Cobblestone\Catalogue\Catalogue;

/**
 * The entries of the shop's own folder, kept as they were read without a fault: taking ninety documents apart and
 * checking each costs half a second, and every command asks for them. Any other byte in any file makes another.
 */
final class KeptFolder
{
    /** Of other folders nothing is kept: they come and go. */
    public static function isKept(string $path): bool
    {
        return config('cobblestone.kept') !== ''
            && rtrim($path, '/') === rtrim((string) config('cobblestone.catalogue'), '/');
    }

    /** @return array<string, array<string, array<string, mixed>>>|null kind => identifier => document */
    public static function entries(string $path): ?array
    {
        $kept = is_readable($file = self::file($path)) ? @unserialize(
            (string) file_get_contents($file),
            ['allowed_classes' => false],
        ) : null;

        /** @var array<string, array<string, array<string, mixed>>>|null */
        return is_array($kept) ? $kept : null;
    }

    /**
     * Whole or not at all; what it takes the place of is removed.
     *
     * @param  array<string, array<string, array<string, mixed>>>  $entries
     */
    public static function keep(string $path, array $entries): void
    {
        $file = self::file($path);
        $begun = $file.'.'.getmypid();
        if (@file_put_contents($begun, serialize($entries)) === false || ! @rename($begun, $file)) {
            return;
        }
        foreach (glob(dirname($file).'/folder-'.self::mark($path).'-*.ser') ?: [] as $other) {
            $other === $file || @unlink($other);
        }
    }

    private static function file(string $path): string
    {
        return config('cobblestone.kept').'/folder-'.self::mark($path).'-'.self::contents($path).'.ser';
    }

    private static function mark(string $path): string
    {
        return substr(hash('sha256', rtrim($path, '/')), 0, 12);
    }

    /** Of everything that decides what the folder says: its files, their schemas, and what reads and checks them. */
    private static function contents(string $path): string
    {
        $sum = hash_init('xxh128');
        $parts = ['aliases', ...Catalogue::KINDS];
        foreach ($parts as $part) {
            $files = glob(rtrim($path, '/')."/{$part}/*") ?: [];
            foreach (array_filter($files, is_file(...)) as $file) {
                hash_update($sum, "{$part}/".basename($file).' '.filesize($file)."\n");
                hash_update_file($sum, $file);
            }
        }
        $schemas = dirname(Schemas::ofCatalogue('all'));
        $readers = [__DIR__.'/*.php', dirname(__DIR__).'/Documents/*.php', "{$schemas}/*.json"];
        foreach (array_merge(...array_map(static fn (string $of): array => glob($of) ?: [], $readers)) as $file) {
            hash_update_file($sum, $file);
        }

        return hash_final($sum);
    }
}
