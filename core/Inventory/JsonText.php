<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

use JsonException;

/** JSON as a tool prints it, or a sentence saying where it stops being JSON. */
final class JsonText
{
    /** More text than any of these tools prints of one machine. */
    public const LIMIT = 4_000_000;

    /**
     * @param  int<1, max>  $depth
     * @return array<mixed>
     *
     * @throws UnreadableInventory
     */
    public static function decode(string $text, string $command, int $depth = 32): array
    {
        if (strlen($text) > self::LIMIT) {
            throw UnreadableInventory::tooLarge(strlen($text), self::LIMIT, $command);
        }
        if (trim($text) === '') {
            throw UnreadableInventory::empty($command);
        }
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw UnreadableInventory::notText($command);
        }
        try {
            $data = json_decode($text, true, $depth, JSON_THROW_ON_ERROR | JSON_BIGINT_AS_STRING);
        } catch (JsonException $e) {
            [$line, $near] = JsonFault::locate($text);
            throw UnreadableInventory::notJson($line, $near, strtolower($e->getMessage()), $command);
        }
        if (! is_array($data)) {
            throw UnreadableInventory::notJson(1, mb_substr(trim($text), 0, 30), 'a single value', $command);
        }

        return $data;
    }

    /** @return array<array-key, mixed> the map or list that stands there; empty where none does */
    public static function map(mixed $value): array
    {
        return is_array($value) ? $value : [];
    }
}
