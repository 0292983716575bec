<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Keys;

/**
 * The variables in a firmware's flash file: a firmware volume whose body is an authenticated variable store
 * (UEFI PI specification 1.8, volume 3, 3.2; the store's layout as the open reference firmware writes it).
 */
final readonly class VariableStore
{
    private const VOLUME_MARK = '_FVH';

    private const AUTHENTICATED = "\x78\x2C\xF3\xAA\x7B\x94\x9A\x43\xA1\x80\x2E\x14\x4E\xC3\x77\x92";

    /** Store header: mark, size, format, state, reserved. */
    private const STORE_HEADER = 28;

    /** Variable header: id, state, attributes, count, time, key index, sizes of name and data, vendor. */
    private const HEADER = 60;

    private const START = 0x55AA;

    /** Written whole; any cleared bit further says deleted, or about to be. */
    private const ADDED = 0x3F;

    private const ADDED_IN_DELETION = 0x3E;

    /** @param  array<string, string>  $variables  name => data */
    private function __construct(public array $variables)
    {
    }

    /** Null where the file is no such store. */
    public static function read(string $bytes): ?self
    {
        if (substr($bytes, 40, 4) !== self::VOLUME_MARK) {
            return null;
        }
        /** @var array{1: int} $length */
        $length = unpack('v', str_pad(substr($bytes, 48, 2), 2, "\0"));
        $store = $length[1];
        if (substr($bytes, $store, 16) !== self::AUTHENTICATED) {
            return null;
        }
        /** @var array{1: int} $size */
        $size = unpack('V', str_pad(substr($bytes, $store + 16, 4), 4, "\0"));
        $end = min(strlen($bytes), $store + $size[1]);
        $variables = [];
        for ($at = $store + self::STORE_HEADER; $at + self::HEADER <= $end; $at = ($at + 3) & ~3) {
            /** @var array{id: int, state: int} $head */
            $head = unpack('vid/Cstate', $bytes, $at);
            if ($head['id'] !== self::START) {
                break;
            }
            /** @var array{name: int, data: int} $sizes */
            $sizes = unpack('Vname/Vdata', $bytes, $at + 36);
            if ($at + self::HEADER + $sizes['name'] + $sizes['data'] > $end) {
                break;
            }
            if (in_array($head['state'], [self::ADDED, self::ADDED_IN_DELETION], true)) {
                $name = self::nameAt($bytes, $at, $sizes);
                $variables[$name] = substr($bytes, $at + self::HEADER + $sizes['name'], $sizes['data']);
            }
            $at += self::HEADER + $sizes['name'] + $sizes['data'];
        }

        return new self($variables);
    }

    /**
     * @param  array<string, int>  $sizes
     */
    private static function nameAt(string $bytes, int $at, array $sizes): string
    {
        return rtrim(
            (string) mb_convert_encoding(
                substr($bytes, $at + self::HEADER, $sizes['name']),
                'UTF-8',
                'UTF-16LE',
            ),
            "\0",
        );
    }
}
