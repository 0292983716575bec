<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\LargestFile;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Decision;
use Cobblestone\Storage\Fat32Geometry;

/**
 * FAT32, because UEFI reads it; a file past its limit is split where the installer joins parts, never cut short (rule
 * M5).
 */
final readonly class FileSystemChoice
{
    private function __construct(public Decision $decision, public ?Split $split, public ?string $blocker)
    {
    }

    public static function decide(Image $image, Bytes $part): self
    {
        if (! $image->isCounted()) {
            return new self(
                new Decision(
                    'media.file-system',
                    'File system of the stick',
                    'FAT32, once its files are counted',
                    ['UEFI reads FAT; whether one of its files is past FAT32\'s limit is not known yet.'],
                    [],
                    [$image->dated()],
                    'M5',
                ),
                null,
                null,
            );
        }
        $largest = $image->largest();
        $size = Bytes::of($largest->bytes);
        $fact = "largest file {$largest->path}: {$size->exact()}";
        $exfat = ['exFAT' => ['Firmware is only promised to read FAT; many models would not list the stick.']];
        if ($size->count <= Fat32Geometry::MAX_FILE) {
            return new self(
                new Decision(
                    'media.file-system',
                    'File system of the stick',
                    'FAT32',
                    ['UEFI reads FAT, and the largest file is below its limit of 4 294 967 295 bytes.'],
                    $exfat,
                    [$fact],
                    'M5',
                ),
                null,
                null,
            );
        }

        return self::tooLarge($largest, $size, $exfat, $fact, $part);
    }

    /**
     * @param  array<string, list<string>>  $exfat
     */
    private static function tooLarge(LargestFile $largest, Bytes $size, array $exfat, string $fact, Bytes $part): self
    {
        if ($largest->parts === null) {
            $blocker = "{$largest->path} has {$size->exact()}, more than one FAT32 file can hold, and this "
                .'installer does not join parts. Choose another image of the system, or one that is written raw.';

            return new self(
                new Decision(
                    'media.file-system',
                    'File system of the stick',
                    'none',
                    [$blocker],
                    ['FAT32' => ['The file does not fit.'], ...$exfat],
                    [$fact],
                    'M5',
                ),
                null,
                $blocker,
            );
        }
        $split = Split::of($largest->path, $size, $part, $largest->parts);

        return new self(
            new Decision(
                'media.file-system',
                'File system of the stick',
                "FAT32, {$largest->path} in {$split->count()} parts",
                [
                    "UEFI reads FAT, but {$largest->path} is past FAT32's 4 294 967 295 bytes.",
                    'The installer joins parts: '.$split->describe().'.',
                    'The whole file stays off the stick.',
                ],
                ['FAT32 with the whole file' => ['One file would be cut off at 4 GiB.'], ...$exfat],
                [$fact, "policy part size = {$part->binary()}"],
                'M5',
            ),
            $split,
            null,
        );
    }
}
