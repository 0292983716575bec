<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/**
 * The commands of a kind of computer, each a list of arguments: {file}, {drive}, {bytes}, {scheme}, {label},
 * {folder}, {at} and {image} stand for what is given. What is left out, that computer cannot do (rules M13, M14).
 */
final readonly class HostCommands
{
    /** What a raw write cannot do without. */
    public const RAW = ['sum', 'bytes', 'drive_bytes', 'write', 'read', 'sum_stream'];

    /** What copying files cannot do without. */
    public const COPYING = ['sum', 'bytes', 'drive_bytes', 'lay', 'unpack', 'place', 'take'];

    /**
     * @param  list<string>  $sum  prints the SHA-256 of a file, first of all
     * @param  list<string>  $drives  lists what is plugged in, with size and serial
     * @param  list<string>  $bytes  prints the length of a file
     * @param  list<string>  $build  prints the build of the system that runs there
     * @param  list<string>  $driveBytes  prints the exact size of a drive
     * @param  list<string>  $driveSerial  prints its serial, or nothing
     * @param  list<string>  $inUse  prints the volumes of it that are in use, or nothing
     * @param  list<string>  $clear  empties the first and the last mebibyte of a drive
     * @param  list<string>  $write  writes its input from the drive's first byte on
     * @param  list<string>  $read  prints the first bytes of the drive, past the cache
     * @param  list<string>  $sumStream  prints the SHA-256 of its input, first of all
     * @param  list<string>  $flush  ends when all is on the drive
     * @param  list<string>  $lay  makes a table with one FAT32 volume over the whole stick
     * @param  list<string>  $unpack  unpacks an optical image into a folder
     * @param  list<string>  $cut  prints a part of a file
     * @param  list<string>  $place  copies what is in a folder onto the volume
     * @param  list<string>  $take  copies what is on the volume, read past the cache, into a folder
     */
    public function __construct(
        public array $sum,
        public array $drives,
        public array $bytes = [],
        public array $build = [],
        public array $driveBytes = [],
        public array $driveSerial = [],
        public array $inUse = [],
        public array $clear = [],
        public array $write = [],
        public array $read = [],
        public array $sumStream = [],
        public array $flush = [],
        public array $lay = [],
        public array $unpack = [],
        public array $cut = [],
        public array $place = [],
        public array $take = [],
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $fields->wants('sum', 'drives');
        $of = $fields->strings(...);

        return new self(
            $of('sum'), $of('drives'), $of('bytes'), $of('build'), $of('drive_bytes'), $of('drive_serial'),
            $of('in_use'), $of('clear'), $of('write'), $of('read'), $of('sum_stream'), $of('flush'), $of('lay'),
            $of('unpack'),
            $of('cut'), $of('place'), $of('take'),
        );
    }

    /** @return list<string> by the name it has in the document */
    public function of(string $name): array
    {
        return match ($name) {
            'sum' => $this->sum, 'drives' => $this->drives, 'bytes' => $this->bytes, 'build' => $this->build,
            'drive_bytes' => $this->driveBytes, 'drive_serial' => $this->driveSerial, 'in_use' => $this->inUse,
            'clear' => $this->clear, 'write' => $this->write, 'read' => $this->read, 'sum_stream' => $this->sumStream,
            'flush' => $this->flush, 'lay' => $this->lay, 'unpack' => $this->unpack, 'cut' => $this->cut,
            'place' => $this->place, 'take' => $this->take,
            default => [],
        };
    }

    /**
     * @param  list<string>  $wanted
     * @return list<string> those that this computer has no command for
     */
    public function lacking(array $wanted): array
    {
        return array_values(array_filter($wanted, fn (string $name): bool => $this->of($name) === []));
    }

    /**
     * A command as it is typed, with what is given in its places.
     *
     * @param  array<string, string>  $given  place => what stands there
     */
    public function typed(string $name, array $given): string
    {
        return strtr(implode(' ', $this->of($name)), $given);
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
