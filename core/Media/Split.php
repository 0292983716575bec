<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Fat32Geometry;
use InvalidArgumentException;

/** A file too large for FAT32, in parts that are legal to the byte (rule M5). */
final readonly class Split
{
    /** @param  list<array{name: string, bytes: int}>  $parts */
    private function __construct(public string $path, public Bytes $size, public array $parts)
    {
    }

    /**
     * @param  string  $pattern  how the installer numbers parts, with one %d, e.g. "payload.p%d"
     *
     * @throws InvalidArgumentException for parts larger than a FAT32 file
     */
    public static function of(string $path, Bytes $size, Bytes $part, string $pattern): self
    {
        if ($part->count < 1 || $part->count > Fat32Geometry::MAX_FILE) {
            throw new InvalidArgumentException(
                "A part of {$part->exact()} is not a legal FAT32 file; at most 4 095 MiB.",
            );
        }
        $parts = [];
        for ($i = 0; $i < $size->portions($part); $i++) {
            $parts[] = [
                'name' => sprintf($pattern, $i + 1),
                'bytes' => min($part->count, $size->count - $i * $part->count),
            ];
        }

        return new self($path, $size, $parts);
    }

    public function count(): int
    {
        return count($this->parts);
    }

    public function describe(): string
    {
        return implode(
            ', ',
            array_map(
                static fn (array $part): string => $part['name'].
                    ' '.
                    number_format($part['bytes'], 0, '.', ' ').
                    ' B',
                $this->parts,
            ),
        );
    }
}
