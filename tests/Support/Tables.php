<?php

namespace Tests\Support;

use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Layout;
use Cobblestone\Storage\LayoutBuilder;
use Cobblestone\Storage\PartitionRequest;
use Cobblestone\Storage\PartitionType;
use Cobblestone\Storage\Scheme;
use Cobblestone\Storage\SectorSize;
use Cobblestone\Storage\TableBytes;

/** Partition tables as bytes, for tests of what reads them. */
final class Tables
{
    public static function layout(Scheme $scheme, SectorSize $sector = SectorSize::B512, int $mebi = 64): Layout
    {
        return LayoutBuilder::build(
            $scheme,
            $sector,
            Bytes::mebi($mebi),
            [
                new PartitionRequest('EFI system', PartitionType::EfiSystem, Bytes::mebi(10)),
                new PartitionRequest('système', PartitionType::LinuxFilesystem, Bytes::mebi(20)),
                new PartitionRequest('rest', PartitionType::BasicData, null, active: true),
            ],
            'reader',
        );
    }

    public static function bytes(Layout $layout): string
    {
        $bytes = str_repeat("\0", $layout->device->count);
        foreach (TableBytes::of($layout) as $at => $piece) {
            $bytes = substr_replace($bytes, $piece, $at, strlen($piece));
        }

        return $bytes;
    }

    /** @param  list<array{flag?: int, type: int, first: int, count: int}>  $entries */
    public static function mbr(array $entries, int $size = 65_536, string $code = ''): string
    {
        $table = implode(
            '',
            array_map(
                fn ($e) => chr($e['flag'] ?? 0).
                    "\0\0\0".
                    chr($e['type']).
                    "\0\0\0".
                    pack('VV', $e['first'], $e['count']),
                $entries,
            ),
        );

        return str_pad(str_pad(str_pad($code, 446, "\0").$table, 510, "\0")."\x55\xAA", $size, "\0");
    }
}
