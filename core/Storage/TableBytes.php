<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

/** A layout's partition table as the bytes on the device (UEFI specification 2.10, chapter 5; rule M6). */
final class TableBytes
{
    private const HEADER_BYTES = 92;

    private const ENTRY_BYTES = 128;

    private const REVISION_1_0 = 0x0001_0000;

    /** @return array<int, string> byte offset on the device => bytes to write there */
    public static function of(Layout $layout): array
    {
        return $layout->scheme === Scheme::Gpt ? self::gpt($layout) : [0 => self::mbr($layout)];
    }

    /** @return array<int, string> */
    private static function gpt(Layout $layout): array
    {
        $size = $layout->sector->value;
        $last = $layout->sectors() - 1;
        $backupEntries = $layout->scheme->lastUsable($layout->sector, $layout->sectors()) + 1;
        $entries = self::entries($layout);

        return [
            0 => self::protectiveMbr($layout),
            $size => self::header($layout, 1, $last, 2, $entries),
            2 * $size => $entries,
            $backupEntries * $size => $entries,
            $last * $size => self::header($layout, $last, 1, $backupEntries, $entries),
        ];
    }

    private static function entries(Layout $layout): string
    {
        $bytes = '';
        foreach ($layout->partitions as $partition) {
            $name = (string) mb_convert_encoding(mb_substr($partition->name, 0, 36), 'UTF-16LE', 'UTF-8');
            $bytes .=
                Guid::of($partition->type->guid())->bytes().
                $layout->partitionGuid($partition)->bytes().
                pack('PPP', $partition->extent->first, $partition->extent->last(), 0).
                str_pad(substr($name, 0, 72), self::ENTRY_BYTES - 56, "\0");
        }

        return str_pad($bytes, Scheme::GPT_ENTRY_BYTES, "\0");
    }

    private static function header(Layout $layout, int $own, int $other, int $entriesAt, string $entries): string
    {
        $before = 'EFI PART'.pack('VV', self::REVISION_1_0, self::HEADER_BYTES);
        $after =
            pack('V', 0).
            pack(
                'PPPP',
                $own,
                $other,
                $layout->scheme->firstUsable($layout->sector),
                $layout->scheme->lastUsable($layout->sector, $layout->sectors()),
            ).
            $layout->diskGuid->bytes().
            pack(
                'PVVV',
                $entriesAt,
                intdiv(Scheme::GPT_ENTRY_BYTES, self::ENTRY_BYTES),
                self::ENTRY_BYTES,
                crc32($entries),
            );
        $header = $before.pack('V', crc32($before.pack('V', 0).$after)).$after;

        return str_pad($header, $layout->sector->value, "\0");
    }

    private static function protectiveMbr(Layout $layout): string
    {
        $length = min($layout->sectors() - 1, 0xFFFF_FFFF);

        return self::mbrSector($layout, [self::mbrEntry(0xEE, false, 1, $length)]);
    }

    private static function mbr(Layout $layout): string
    {
        return self::mbrSector(
            $layout,
            array_map(
                static fn (PlannedPartition $partition): string => self::mbrEntry(
                    $partition->type->mbrCode($partition->fat32 !== null),
                    $partition->active,
                    $partition->extent->first,
                    $partition->extent->count,
                ),
                $layout->partitions,
            ),
        );
    }

    /** One 16-byte entry; cylinder fields are set to their end mark, as sectors alone count today. */
    private static function mbrEntry(int $type, bool $active, int $first, int $count): string
    {
        $end = "\xFE\xFF\xFF";

        return ($active ? "\x80" : "\0").
            ($first === 1 ? "\0\x02\0" : $end).
            chr($type).
            $end.
            pack('VV', $first, $count);
    }

    /** @param  list<string>  $entries */
    private static function mbrSector(Layout $layout, array $entries): string
    {
        $identifier = $layout->scheme === Scheme::Mbr ? substr($layout->diskGuid->bytes(), 0, 4) : "\0\0\0\0";
        $sector =
            str_pad(str_repeat("\0", 440).$identifier."\0\0".implode('', $entries), 510, "\0")."\x55\xAA";

        return str_pad($sector, $layout->sector->value, "\0");
    }
}
