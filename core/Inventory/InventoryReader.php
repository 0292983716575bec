<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

/** Finds out which tool printed a text, whatever it was called, and reads it (rule A1). */
final class InventoryReader
{
    /** Tool => what makes it print the form that is read. */
    public const COMMANDS = [
        'lsblk' => 'lsblk -J -b',
        'lshw' => 'lshw -json',
        'lspci' => 'lspci -vmmnnk',
        'lsusb' => 'lsusb',
        'dmidecode' => 'dmidecode',
        'smartctl' => 'smartctl -j -a',
        'efibootmgr' => 'efibootmgr -v',
        'mokutil' => 'mokutil --sb-state',
        'device-list' => 'a list of devices as CSV',
        'collector' => 'cobblestone-collect',
        'program-list' => 'a list of programs as CSV',
    ];

    /** Bytes in which a text has to say what it is. */
    private const HEAD = 65_536;

    /**
     * @param  string  $name  the file's name, or "pasted"
     * @param  string|null  $at  when it was read, where the text itself does not say
     *
     * @throws UnreadableInventory
     */
    public static function read(string $text, string $name, ?string $at): Reading
    {
        if (trim($text) === '') {
            throw UnreadableInventory::empty();
        }
        if (strlen($text) > JsonText::LIMIT) {
            throw UnreadableInventory::tooLarge(strlen($text), JsonText::LIMIT);
        }
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw UnreadableInventory::notText();
        }
        $reading = match (self::recognise($text)) {
            'lsblk' => self::lsblk($text),
            'lshw' => LshwReader::read($text),
            'lspci' => LspciReader::read($text),
            'lsusb' => LsusbReader::read($text),
            'dmidecode' => DmidecodeReader::read($text),
            'smartctl' => SmartctlReader::read($text),
            'efibootmgr' => EfibootmgrReader::read($text),
            'mokutil' => MokutilReader::read($text),
            'collector' => SystemNoteReader::read($text),
            'device-list' => DeviceListReader::read($text),
            'program-list' => ProgramListReader::read($text),
            default => throw UnreadableInventory::unrecognised(array_values(self::COMMANDS)),
        };

        return $reading->from($name, $at);
    }

    /** The tool by what its output looks like; null where it looks like none of them. */
    public static function recognise(string $text): ?string
    {
        $start = ltrim($text, "\u{FEFF} \t\r\n");
        if ($start !== '' && ($start[0] === '{' || $start[0] === '[')) {
            return match (true) {
                str_contains($text, '"blockdevices"') => 'lsblk',
                str_contains($text, '"smartctl"') || str_contains($text, '"ata_smart_attributes"') => 'smartctl',
                preg_match('/"class"\s*:/', $text) === 1 && preg_match('/"id"\s*:/', $text) === 1 => 'lshw',
                // A broken first line still tells which tool was meant, so that its own message is given.
                default => null,
            };
        }

        // Every tool names itself in its first lines; a long text that is none of them is not searched to its end ten
        // times.
        $text = substr($text, 0, self::HEAD);

        return match (true) {
            str_starts_with($start, SystemNoteReader::HEAD) => 'collector',
            preg_match('/^# dmidecode |^Handle 0x[0-9A-F]{4}, DMI type /mi', $text) === 1 => 'dmidecode',
            preg_match('/^(BootOrder|BootCurrent): |^Boot[0-9A-F]{4}\*? /m', $text) === 1 => 'efibootmgr',
            preg_match('/^SecureBoot (enabled|disabled)|doesn\'t support Secure Boot/mi', $text) === 1 => 'mokutil',
            preg_match('/^EFI variables are not supported/mi', $text) === 1 => 'efibootmgr',
            preg_match('/^Bus [0-9]{3} Device [0-9]{3}: ID /m', $text) === 1 => 'lsusb',
            preg_match('/^Slot:\s+[0-9a-f:.]+$/mi', $text) === 1 ||
                preg_match('/^(?:[0-9a-f]{4,8}:)?[0-9a-f]{2}:[0-9a-f]{2}\.[0-7] /mi', $text) === 1 => 'lspci',
            DeviceListReader::recognises($text) => 'device-list',
            ProgramListReader::recognises($text) => 'program-list',
            default => null,
        };
    }

    /** The text itself is kept: its drives are read again with every plan, so that bytes and sectors stay exact. */
    private static function lsblk(string $text): Reading
    {
        $inventory = LsblkReader::read($text);

        return new Reading('lsblk', 'pasted', notes: $inventory->notes, lsblk: $text);
    }
}
