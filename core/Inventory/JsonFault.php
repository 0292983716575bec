<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

/** Finds about where JSON stops being JSON, for a message with a line in it. */
final class JsonFault
{
    /**
     * @return array{0: int, 1: string} line from 1, and up to 30 characters from there
     */
    public static function locate(string $text): array
    {
        $offset = self::firstFault($text);
        $near = trim(mb_substr(substr($text, $offset, 120), 0, 30));

        return [substr_count(substr($text, 0, $offset), "\n") + 1, $near === '' ? 'the end of the text' : $near];
    }

    /** Walks tokens outside strings: the first character no token starts with, or the end where brackets stay open. */
    private static function firstFault(string $text): int
    {
        $token =
            '/\G(?:\s+|[{}\[\],:]|"(?:[^"\\\\\x00-\x1f]|\\\\.)*+"'
            .'|-?[0-9]+(?:\.[0-9]+)?(?:[eE][+-]?[0-9]+)?|true|false|null)/';
        $offset = 0;
        $open = [];
        $length = strlen($text);
        while ($offset < $length && preg_match($token, $text, $match, 0, $offset) === 1) {
            $first = $match[0];
            if ($first === '{' || $first === '[') {
                $open[] = $first === '{' ? '}' : ']';
            } elseif ($first === '}' || $first === ']') {
                if (array_pop($open) !== $first) {
                    return $offset;
                }
            }
            $offset += strlen($first);
        }

        return $offset;
    }
}
