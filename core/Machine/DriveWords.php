<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Text\Counted;

/**
 * How a drive is named: in full, so that nobody confuses twins; only the target hides the characters that are typed
 * (rule K2).
 */
final class DriveWords
{
    private const CONNECTIONS = [
        'nvme' => 'NVMe slot',
        'sata' => 'SATA socket',
        'ata' => 'ATA socket',
        'usb' => 'USB socket',
        'sas' => 'SAS socket',
        'mmc' => 'soldered or card',
    ];

    /** "sda · Kelpbed 2T · 2.0 TB · serial KB-9917-4402 · SATA socket · holds Timetables". */
    public static function full(Drive $drive): string
    {
        return self::words($drive, $drive->serial);
    }

    /** The same for the drive that is erased: the last four are read from the drive itself. */
    public static function target(Drive $drive): string
    {
        return self::words($drive, $drive->serial === null ? null : Confirmation::mask($drive->serial));
    }

    public static function contents(Drive $drive): string
    {
        $labels = array_filter(array_map(static fn ($partition): ?string => $partition->label, $drive->partitions));

        return match (true) {
            ! $drive->detailed => 'contents not read',
            $drive->isBlank() => 'blank',
            $labels !== [] => 'holds '.implode(', ', array_slice($labels, 0, 3)),
            $drive->partitions !== [] => Counted::of(count($drive->partitions), 'partition'),
            default => 'contents not shown',
        };
    }

    /**
     * How an installer will show its size, whatever unit it counts in.
     *
     * @return array<string, string> unit => figure
     */
    public static function sizes(Bytes $bytes): array
    {
        $in = static fn (float $unit, int $digits): string => number_format($bytes->count / $unit, $digits, '.', '');

        return [
            'bytes' => number_format($bytes->count, 0, '.', "\u{a0}"),
            'GB' => $in(1000 ** 3, 1),
            'GiB' => $in(1024 ** 3, 1),
            'TiB' => $in(1024 ** 4, 3),
        ];
    }

    private static function words(Drive $drive, ?string $serial): string
    {
        $number = match (true) {
            $serial !== null => "serial {$serial}".
                ($drive->serialRepeated ? ', which another drive reports too' : ''),
            $drive->wwn !== null => "no serial, WWN {$drive->wwn}",
            default => 'no serial',
        };

        return implode(
            ' · ',
            array_filter([
                $drive->path,
                $drive->model,
                $drive->size->decimal(),
                $number,
                self::CONNECTIONS[$drive->transport ?? ''] ?? null,
                self::contents($drive),
            ]),
        );
    }
}
