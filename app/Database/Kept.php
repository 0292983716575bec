<?php

declare(strict_types=1);

namespace App\Database;

/**
 * What was worked out once and cannot come out otherwise, kept in the memory that the processes of the server share.
 * A key names the contents it was made from; where there is no such memory, as on the command line, it is worked out
 * each time.
 */
final class Kept
{
    /** Longer than a click follows a click, shorter than anybody would look for what was taken out of the database. */
    private const SECONDS = 300;

    /**
     * @template T of object|string|array<array-key, mixed>
     *
     * @param  callable(): T  $make
     * @return T
     */
    public static function of(string $key, callable $make): object|string|array
    {
        if (! self::isThere()) {
            return $make();
        }
        $found = apcu_fetch($key, $is);
        if (! $is) {
            $found = $make();
            apcu_store($key, $found, self::SECONDS);
        }

        return $found;
    }

    /** @param  object|string|array<array-key, mixed>  $value  what whoever asks for the key would work out */
    public static function put(string $key, object|string|array $value): void
    {
        if (self::isThere()) {
            apcu_store($key, $value, self::SECONDS);
        }
    }

    public static function drop(string $key): void
    {
        if (self::isThere()) {
            apcu_delete($key);
        }
    }

    public static function isThere(): bool
    {
        return function_exists('apcu_enabled') && apcu_enabled();
    }
}
