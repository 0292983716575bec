<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

use Cobblestone\Quantity\Bytes;

/**
 * Places partitions on a device: first at 1 MiB, starts and sizes in whole MiB, inside what the scheme can reach
 * (rule M6).
 */
final class LayoutBuilder
{
    private const MBR_PRIMARIES = 4;

    private const GPT_ENTRIES = 128;

    /**
     * @param  list<PartitionRequest>  $requests  in the order on the device; at most one without a size
     * @param  string  $seed  words that name this device in this job, for GUIDs that repeat
     *
     * @throws LayoutImpossible
     */
    public static function build(
        Scheme $scheme,
        SectorSize $sector,
        Bytes $device,
        array $requests,
        string $seed,
    ): Layout {
        $limit = $scheme === Scheme::Gpt ? self::GPT_ENTRIES : self::MBR_PRIMARIES;
        if (count($requests) > $limit) {
            throw LayoutImpossible::tooManyPartitions($scheme, count($requests), $limit);
        }
        $mebi = $sector->perMebi();
        $end = intdiv($scheme->lastUsable($sector, $sector->sectorsIn($device)) + 1, $mebi) * $mebi;
        if ($end <= $mebi) {
            throw LayoutImpossible::deviceTooSmall($device);
        }
        $sizes = self::sizes($requests, $sector, $end - $mebi);

        $start = $mebi;
        $partitions = [];
        foreach ($requests as $index => $request) {
            $partitions[] = new PlannedPartition(
                number: $index + 1,
                name: $request->name,
                type: $request->type,
                extent: new Extent($start, $sizes[$index]),
                fileSystem: $request->fileSystem,
                role: $request->role,
                active: $request->active,
                fat32: $request->fileSystem === 'fat32' ? Fat32Geometry::forSectors($sizes[$index], $sector) : null,
            );
            $start += $sizes[$index];
        }

        return new Layout($scheme, $sector, $device, Guid::fromSeed($seed), $partitions);
    }

    /**
     * Sizes in sectors, each a whole number of MiB.
     *
     * @param  list<PartitionRequest>  $requests
     * @return list<int>
     */
    private static function sizes(array $requests, SectorSize $sector, int $room): array
    {
        $mebi = $sector->perMebi();
        $sizes = array_map(
            static fn (PartitionRequest $request): int => $request->size === null
                ? 0
                : $request->size->portions(Bytes::mebi(1)) * $mebi,
            $requests,
        );
        $rests = array_keys($sizes, 0, true);
        if (count($rests) > 1) {
            throw LayoutImpossible::twoRests();
        }
        $free = $room - array_sum($sizes);
        if ($free < 0 || ($rests !== [] && $free < $mebi)) {
            $last = $requests[$rests[0] ?? array_key_last($requests)] ?? null;
            throw LayoutImpossible::noRoom(
                $last->name ?? 'these partitions',
                $sector->bytes(array_sum($sizes) + ($rests === [] ? 0 : $mebi)),
                $sector->bytes($room),
            );
        }
        foreach ($rests as $index) {
            $sizes[$index] = $free;
        }

        return array_values($sizes);
    }
}
