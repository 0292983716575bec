<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

use Cobblestone\Storage\Reading\ByteSource;
use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\WindowSource;

/** The boot catalogue of an optical image (El Torito specification 1.0, section 2; rule M2). */
final readonly class ElTorito
{
    public const PLATFORMS = [0x00 => 'BIOS', 0x01 => 'PowerPC', 0x02 => 'older 68k', 0xEF => 'UEFI'];

    private const BLOCK = 2048;

    private const BOOT_RECORD_BLOCK = 17;

    /** Section headers may chain without end; no real catalogue has more entries. */
    private const MOST_ENTRIES = 64;

    /**
     * @param  list<array{platform: string, bootable: bool, media: int, at: int, bytes: int, measured: bool}>  $entries
     *     place and size in bytes; measured: from the file system inside, else as stated
     * @param  list<string>  $faults
     */
    private function __construct(public array $entries, public array $faults)
    {
    }

    /** Null where sector 17 holds no boot record. */
    public static function read(ByteSource $image): ?self
    {
        $record = $image->read(self::BOOT_RECORD_BLOCK * self::BLOCK, self::BLOCK);
        if (
            substr($record, 0, 7) !== "\0CD001\x01" ||
            ! str_starts_with(substr($record, 7, 32), 'EL TORITO SPECIFICATION') ||
            strlen($record) < 75
        ) {
            return null;
        }
        /** @var array{1: int} $at */
        $at = unpack('V', $record, 71);
        $catalogue = $image->read($at[1] * self::BLOCK, self::BLOCK);
        if (strlen($catalogue) < 64 || $catalogue[0] !== "\x01" || substr($catalogue, 30, 2) !== "\x55\xAA") {
            return new self([], ["The boot catalogue in block {$at[1]} is missing or damaged."]);
        }

        return self::entries($catalogue, $image);
    }

    private static function entries(string $catalogue, ByteSource $image): self
    {
        /** @var array<int, int> $words */
        $words = unpack('v16', $catalogue);
        $faults = (array_sum($words) & 0xFFFF) === 0 ? [] : ['The checksum of the boot catalogue does not match.'];
        $entries = [];
        $platform = ord($catalogue[1]);
        $last = false;
        for ($i = 1; $i < min(self::MOST_ENTRIES, intdiv(strlen($catalogue), 32)); $i++) {
            $entry = substr($catalogue, 32 * $i, 32);
            $mark = ord($entry[0]);
            if ($mark === 0x90 || $mark === 0x91) {
                // A header after the last section's entries is left over: nothing says that it counts.
                if ($last && $entries !== [] && $mark === 0x90) {
                    break;
                }
                [$platform, $last] = [ord($entry[1]), $mark === 0x91];
            } elseif ($mark === 0x88 || ($mark === 0x00 && $i === 1)) {
                $entries[] = self::entry($image, $entry, $platform, $mark === 0x88);
            } elseif ($mark !== 0x44) {
                break;
            }
        }
        foreach ($entries as $entry) {
            if ($entry['at'] >= $image->size()) {
                $faults[] = "The {$entry['platform']} start image is said to be at "
                    ."byte {$entry['at']}, past the end of the file.";
            }
        }

        return new self($entries, $faults);
    }

    public function starts(string $platform): bool
    {
        foreach ($this->entries as $entry) {
            if ($entry['platform'] === $platform && $entry['bootable'] && $entry['bytes'] > 0) {
                return true;
            }
        }

        return false;
    }

    /** @return array{platform: string, bootable: bool, media: int, at: int, bytes: int, measured: bool} */
    private static function entry(ByteSource $image, string $entry, int $platform, bool $bootable): array
    {
        /** @var array{count: int, at: int} $place */
        $place = unpack('vcount/Vat', $entry, 6);
        $at = $place['at'] * self::BLOCK;
        // The length is 16 bits of 512 bytes, and often 0 or 1 for a file system of megabytes: the file system knows.
        $fat = FatVolume::open(new WindowSource($image, $at, $image->size()));
        $bytes = $fat === null ? $place['count'] * 512 : $fat->geometry['sectors'] * $fat->geometry['sector'];

        return [
            'platform' => self::PLATFORMS[$platform] ?? sprintf('platform 0x%02X', $platform),
            'bootable' => $bootable,
            'media' => ord($entry[1]) & 0x0F,
            'at' => $at,
            'bytes' => max(0, min($bytes, $image->size() - $at)),
            'measured' => $fat !== null,
        ];
    }
}
