<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

/** What a partition is for, as both schemes write it (rule M6; UEFI specification 5.3.3). */
enum PartitionType: string
{
    case EfiSystem = 'efi-system';
    case BasicData = 'basic-data';
    case Reserved = 'reserved';
    case Recovery = 'recovery';
    case LinuxFilesystem = 'linux-filesystem';

    /** The type a GUID names, in any case; null for one that is not ours. */
    public static function fromGuid(string $guid): ?self
    {
        foreach (self::cases() as $type) {
            if (strcasecmp($type->guid(), $guid) === 0) {
                return $type;
            }
        }

        return null;
    }

    public function title(): string
    {
        return match ($this) {
            self::EfiSystem => 'EFI system',
            self::BasicData => 'data',
            self::LinuxFilesystem => 'Linux filesystem',
            default => $this->value,
        };
    }

    public function guid(): string
    {
        return match ($this) {
            self::EfiSystem => 'C12A7328-F81F-11D2-BA4B-00A0C93EC93B',
            self::BasicData => 'EBD0A0A2-B9E5-4433-87C0-68B6B72699C7',
            self::Reserved => 'E3C9E316-0B5C-4DB8-817D-F92DF00215AE',
            self::Recovery => 'DE94BBA4-06D1-4D40-A16A-BFD50179D6AC',
            self::LinuxFilesystem => '0FC63DAF-8483-4772-8E79-3D69D8477DE4',
        };
    }

    /** The MBR type byte; $fat32 says whether a data partition holds FAT32 (0x0C) or another file system (0x07). */
    public function mbrCode(bool $fat32): int
    {
        return match ($this) {
            self::EfiSystem => 0xEF,
            self::LinuxFilesystem => 0x83,
            self::BasicData, self::Reserved, self::Recovery => $fat32 ? 0x0C : 0x07,
        };
    }
}
