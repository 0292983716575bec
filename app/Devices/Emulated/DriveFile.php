<?php

declare(strict_types=1);

namespace App\Devices\Emulated;

use App\Devices\Command;
use App\Devices\Inspection\FileSource;
use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\TableReader;

/**
 * The drive of an emulated machine: as large as the one it stands for, and no larger than what was written to it.
 *
 * @phpstan-type Part array{type: string, bytes: int, file_system: string, loaders: list<string>}
 */
final readonly class DriveFile
{
    private const TOOL = '/usr/bin/qemu-img';

    public function __construct(public string $path)
    {
    }

    public static function isAvailable(): bool
    {
        return is_executable(self::TOOL);
    }

    public static function blank(string $path, int $bytes): self
    {
        Command::run([self::TOOL, 'create', '-q', '-f', 'qcow2', $path, (string) $bytes], 30);

        return new self($path);
    }

    /** The same bytes as a file of the drive's own size, of which only what was written takes room. */
    public function asRaw(string $to): string
    {
        Command::run([self::TOOL, 'convert', '-f', 'qcow2', '-O', 'raw', $this->path, $to], 120);

        return $to;
    }

    /**
     * What stands on it.
     *
     * @param  string  $raw  what asRaw gave
     * @return array{scheme: string, parts: list<Part>}
     */
    public static function found(string $raw): array
    {
        $source = new FileSource($raw);
        $table = TableReader::read($source);
        $parts = [];
        foreach (array_slice($table->volumes(), 0, 16) as $partition) {
            $volume = FatVolume::open($table->open($partition, $source));
            $files = $volume === null ? [] : array_keys($volume->files(2000));
            $parts[] = [
                'type' => $partition->typeTitle(),
                'bytes' => $partition->sectors * $table->sector,
                'file_system' => $volume === null ? '' : strtoupper($volume->kind),
                'loaders' => array_values(array_filter(
                    array_map(strval(...), $files),
                    static fn (string $path): bool => preg_match('/\.efi$/i', $path) === 1,
                )),
            ];
        }

        return ['scheme' => $table->scheme, 'parts' => $parts];
    }
}
