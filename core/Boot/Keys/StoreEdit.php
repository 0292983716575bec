<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Keys;

/**
 * A firmware's flash file with another content of one of its security databases: the old variable is marked as deleted
 * where it stands, the new one is added behind the last (UEFI PI specification 1.8, volume 3, 3.2). For emulated
 * machines; no real firmware takes its keys so.
 */
final class StoreEdit
{
    /** EFI_IMAGE_SECURITY_DATABASE_GUID */
    private const SECURITY_DATABASE = "\xCB\xB2\x19\xD7\x3A\x3D\x96\x45\xA3\xBC\xDA\xD0\x0E\x67\x65\x6F";

    private const STORE_HEADER = 28;

    private const HEADER = 60;

    private const START = 0x55AA;

    /** Written whole. */
    public const ADDED = 0x3F;

    /** The bit that is cleared where a variable is deleted. */
    private const DELETED = 0xFD;

    /** Kept when switched off, for the start and for what runs, and authenticated by time. */
    private const ATTRIBUTES = 0x27;

    /** @param  string  $name  db or dbx */
    public static function with(string $flash, string $name, string $lists): string
    {
        $wide = self::wide($name);
        /** @var array{1: int} $length */
        $length = unpack('v', str_pad(substr($flash, 48, 2), 2, "\0"));
        $at = $length[1] + self::STORE_HEADER;
        while (substr($flash, $at, 2) === pack('v', self::START)) {
            /** @var array{name: int, data: int} $sizes */
            $sizes = unpack('Vname/Vdata', str_pad(substr($flash, $at + 36, 8), 8, "\0"));
            if (substr($flash, $at + self::HEADER, $sizes['name']) === $wide) {
                $flash[$at + 2] = chr(ord($flash[$at + 2]) & self::DELETED);
            }
            $at = ($at + self::HEADER + $sizes['name'] + $sizes['data'] + 3) & ~3;
        }

        return substr_replace($flash, $record = self::record($name, $lists), $at, strlen($record));
    }

    public static function record(string $name, string $data, int $state = self::ADDED): string
    {
        $wide = self::wide($name);

        // The time of an authenticated variable has to be one: 2026-01-01.
        return pack('vCCV', self::START, $state, 0, self::ATTRIBUTES).
            str_repeat("\0", 8).
            pack('vCCCCCCVvCC', 2026, 1, 1, 0, 0, 0, 0, 0, 0, 0, 0).
            pack('V', 0).
            pack('VV', strlen($wide), strlen($data)).
            self::SECURITY_DATABASE.
            $wide.
            $data;
    }

    private static function wide(string $name): string
    {
        return (string) mb_convert_encoding("{$name}\0", 'UTF-16LE', 'UTF-8');
    }
}
