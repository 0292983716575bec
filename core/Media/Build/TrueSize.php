<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

/**
 * Finds a stick that claims more than it has: blocks that know their own address, over the whole claimed range (rule
 * M11).
 */
final class TrueSize
{
    public const BLOCK = 4096;

    /**
     * Where the quick check stamps: densely spread, the very last block among them.
     *
     * @return list<int> byte offsets, ascending
     */
    public static function places(int $bytes, int $count): array
    {
        $blocks = intdiv($bytes, self::BLOCK);
        $places = [];
        for ($i = 0; $i < min($count, $blocks); $i++) {
            $places[intdiv(($blocks - 1) * $i, max(1, min($count, $blocks) - 1)) * self::BLOCK] = true;
        }

        return array_keys($places);
    }

    /** What stands at a place: its address and the run's own mark, over and over. */
    public static function stamp(int $place, string $run): string
    {
        $line = sha1("{$run} {$place}", true).pack('P', $place);

        return str_pad('', self::BLOCK, $line);
    }

    /**
     * @param  array<int, string>  $read  place => what was read back
     * @return array{honest: bool, from: int|null, wraps: bool} from: the first place that did not hold; wraps: it
     *     held another place's stamp
     */
    public static function judge(array $read, string $run): array
    {
        ksort($read);
        foreach ($read as $place => $bytes) {
            if ($bytes !== self::stamp($place, $run)) {
                $elsewhere = strlen($bytes) === self::BLOCK ? (unpack('P', $bytes, 20) ?: [1 => -1])[1] : -1;

                return [
                    'honest' => false,
                    'from' => $place,
                    'wraps' => $elsewhere !== $place && is_int($elsewhere) && isset($read[$elsewhere]),
                ];
            }
        }

        return ['honest' => true, 'from' => null, 'wraps' => false];
    }
}
