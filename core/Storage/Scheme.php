<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

use Cobblestone\Quantity\Bytes;

/** How a device says where its partitions are (rule M6). */
enum Scheme: string
{
    case Gpt = 'gpt';
    case Mbr = 'mbr';

    /** UEFI specification 2.10, 5.3.1: at least 16 384 bytes of entries, 128 of 128 bytes. */
    public const GPT_ENTRY_BYTES = 16_384;

    /** MBR fields for start and length are 32 bits wide. */
    public const MBR_REACH = 4_294_967_296;

    public function firstUsable(SectorSize $sector): int
    {
        return $this === self::Gpt ? 2 + intdiv(self::GPT_ENTRY_BYTES, $sector->value) : 1;
    }

    /** The last sector a partition may cover on a device of $total sectors. */
    public function lastUsable(SectorSize $sector, int $total): int
    {
        return $this === self::Gpt
            ? $total - 2 - intdiv(self::GPT_ENTRY_BYTES, $sector->value)
            : min($total, self::MBR_REACH) - 1;
    }

    /** Bytes at the device's end that this scheme cannot address at all. */
    public function outOfReach(SectorSize $sector, int $total): Bytes
    {
        return $this === self::Mbr ? $sector->bytes(max(0, $total - self::MBR_REACH)) : Bytes::of(0);
    }

    public function title(): string
    {
        return strtoupper($this->value);
    }

    /** What this table holds as the type of a partition: a GUID, or 0x and two digits. */
    public function code(PlannedPartition $partition): string
    {
        return $this === self::Gpt
            ? $partition->type->guid()
            : sprintf('0x%02X', $partition->type->mbrCode($partition->fat32 !== null));
    }
}
