<?php

declare(strict_types=1);

namespace Cobblestone\Hardware\Erasure;

use Cobblestone\Quantity\Bytes;

/** Where a drive is read back: both ends, where tables stand, and places by chance over all of it (rule L5). */
final class SamplePlaces
{
    /** Bytes that are read at each place. */
    public const LENGTH = 4096;

    /** Places by chance; with so many, one part in a hundred that was left is found in 99 of 100 cases. */
    public const BY_CHANCE = 460;

    /**
     * @param  int  $seed  the same seed gives the same places: they are read before and after
     * @return list<int> offsets in bytes, each once, in order
     */
    public static function of(Bytes $size, int $seed): array
    {
        $last = intdiv($size->count, self::LENGTH) - 1;
        if ($last < 0) {
            return [0];
        }
        // Boot sectors, tables and their copies stand in the first and the last MiB.
        $ends = [];
        foreach ([0, 1, 2, 8, 64, 255] as $block) {
            array_push($ends, min($last, $block), max(0, $last - $block));
        }
        $places = array_map(
            static fn (int $one): int => (int) hexdec(substr(hash('sha256', "{$seed} {$one}"), 0, 12)) % ($last + 1),
            range(1, min(self::BY_CHANCE, $last + 1)),
        );
        $places = array_values(array_unique([...$ends, ...$places]));
        sort($places);

        return array_map(static fn (int $block): int => $block * self::LENGTH, $places);
    }
}
