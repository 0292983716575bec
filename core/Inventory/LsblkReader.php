<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

use Cobblestone\Machine\Drive;
use Cobblestone\Quantity\Bytes;

/** Reads `lsblk -J -b`, with or without the extra columns, old and new forms of it (rule A1). */
final class LsblkReader
{
    public const LIMIT = 2_000_000;

    /** @var list<string> */
    private array $notes = [];

    private bool $detailed = false;

    private function __construct()
    {
    }

    /** @throws UnreadableInventory when the text as a whole cannot be read; single entries become notes */
    public static function read(string $text): InventoryReading
    {
        return (new self())->readAll($text);
    }

    private function readAll(string $text): InventoryReading
    {
        $drives = [];
        $entries = $this->entries($text);
        $this->detailed = LsblkContents::areShown($entries);
        foreach ($entries as $index => $entry) {
            if (! is_array($entry)) {
                $this->notes[] = 'Entry '.($index + 1).' of blockdevices is not a device and was left out.';

                continue;
            }
            $drive = $this->drive($entry, $index);
            if ($drive !== null) {
                $drives[] = $drive;
            }
        }

        return new InventoryReading($this->markRepeatedSerials($drives), $this->notes);
    }

    /** @return list<mixed> */
    private function entries(string $text): array
    {
        if (strlen($text) > self::LIMIT) {
            throw UnreadableInventory::tooLarge(strlen($text), self::LIMIT);
        }
        $data = JsonText::decode($text, 'lsblk -J -b');
        if (! is_array($data['blockdevices'] ?? null)) {
            throw UnreadableInventory::noBlockDevices();
        }

        return array_values($data['blockdevices']);
    }

    /** @param  array<mixed>  $entry */
    private function drive(array $entry, int $index): ?Drive
    {
        $name = self::text($entry, 'name') ?? (self::text($entry, 'kname') ?? 'entry '.($index + 1));
        $type = self::text($entry, 'type') ?? 'disk';
        if ($type !== 'disk') {
            $this->notes[] = "{$name}: a {$type} device, not a drive; left out.";

            return null;
        }
        $size = self::bytes($entry, 'size', $name, $this->notes);
        if ($size === null || $size->count === 0) {
            $this->notes[] = self::withoutSize($size, $name);

            return null;
        }
        $logical = self::number($entry, 'log-sec') ?? 512;
        if (! in_array($logical, [512, 4096], true)) {
            $this->notes[] = "{$name}: logical sectors of {$logical} bytes are not supported; 512 assumed.";
            $logical = 512;
        }
        $children = is_array($entry['children'] ?? null) ? array_values($entry['children']) : [];

        return new Drive(
            path: $name,
            size: $size,
            serial: self::text($entry, 'serial'),
            model: self::text($entry, 'model'),
            logicalSector: $logical,
            physicalSector: self::number($entry, 'phy-sec'),
            transport: self::text($entry, 'tran'),
            removable: self::flag($entry, 'rm'),
            table: self::text($entry, 'pttype'),
            partitions: LsblkPartitions::read($children, $size, $logical, $name, $this->notes),
            detailed: $this->detailed,
            wholeFileSystem: self::text($entry, 'fstype') ?? (LsblkContents::areInUse($entry) ? 'in use' : null),
            wwn: self::text($entry, 'wwn'),
            sectorRead: self::number($entry, 'log-sec') !== null,
        );
    }

    private static function withoutSize(?Bytes $size, string $name): string
    {
        return $size === null
            ? "{$name}: left out, its size cannot be used."
            : "{$name}: 0 bytes, a reader with no medium in it; left out.";
    }

    /**
     * A size in exact bytes, as number or string; null with a note for anything else.
     *
     * @param  array<mixed>  $entry
     * @param  list<string>  $notes
     */
    public static function bytes(array $entry, string $key, string $name, array &$notes): ?Bytes
    {
        $value = $entry[$key] ?? null;
        $value = is_string($value) ? trim($value) : $value;
        if (is_int($value) && $value >= 0) {
            return Bytes::of($value);
        }
        if (is_string($value) && ctype_digit($value) && strlen($value) <= 18) {
            return Bytes::of((int) $value);
        }
        if (is_string($value) && preg_match('/^[0-9.,]+ ?[KMGTPE]i?B?$/i', $value) === 1) {
            $notes[] = "{$name}: size \"{$value}\" is rounded. Run lsblk again with -b for exact bytes.";
        } elseif ($value !== null) {
            $shown = is_scalar($value) ? mb_substr((string) $value, 0, 30) : 'a list';
            $notes[] = "{$name}: {$key} \"{$shown}\" is not a number of bytes.";
        }

        return null;
    }

    /** @param  array<mixed>  $entry */
    public static function text(array $entry, string $key): ?string
    {
        $value = $entry[$key] ?? null;
        $text = is_string($value) || is_int($value) ? trim((string) $value) : '';

        return $text === '' ? null : mb_substr($text, 0, 120);
    }

    /** @param  array<mixed>  $entry */
    public static function number(array $entry, string $key): ?int
    {
        $value = $entry[$key] ?? null;

        return is_int($value) || (is_string($value) && ctype_digit($value) && strlen($value) <= 18)
            ? (int) $value
            : null;
    }

    /**
     * Older lsblk prints flags as "0" and "1", newer ones as true and false.
     *
     * @param  array<mixed>  $entry
     */
    private static function flag(array $entry, string $key): bool
    {
        return in_array($entry[$key] ?? false, [true, 1, '1', 'true'], true);
    }

    /**
     * @param  list<Drive>  $drives
     * @return list<Drive>
     */
    private function markRepeatedSerials(array $drives): array
    {
        $count = array_count_values(
            array_filter(array_map(static fn (Drive $drive): ?string => $drive->serial, $drives)),
        );

        return array_map(function (Drive $drive) use ($count): Drive {
            if ($drive->serial === null || $count[$drive->serial] < 2) {
                return $drive;
            }
            $this->notes[] = "{$drive->path}: another drive reports the same serial, so the serial proves nothing "
                .'here.';

            return $drive->withRepeatedSerial();
        }, $drives);
    }
}
