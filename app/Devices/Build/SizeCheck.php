<?php

namespace App\Devices\Build;

use App\Devices\Inspection\FileSource;
use App\Devices\Stick\StickDevice;
use Cobblestone\Media\Build\TrueSize;
use Cobblestone\Quantity\Bytes;

/**
 * Whether a stick has the room it claims: stamps all over it, flushed and read back; what stood there is put back
 * (rule M11).
 */
final class SizeCheck
{
    public const PLACES = 512;

    /** @return array{honest: bool, from: int|null, sentence: string} */
    public static function quick(StickDevice $stick, BuildProgress $progress): array
    {
        $stick->mustBeWritable();
        $bytes = $stick->target()->bytes;
        $places = TrueSize::places($bytes, self::PLACES);
        $run = bin2hex(random_bytes(8));
        $before = self::read($stick, $places);
        $progress->stage('Stamp the stick', count($places) * TrueSize::BLOCK);
        try {
            self::write(
                $stick,
                array_combine(
                    $places,
                    array_map(static fn (int $place): string => TrueSize::stamp($place, $run), $places),
                ),
                $progress,
            );
            $stick->settle();
            $progress->stage('Read the stamps', count($places) * TrueSize::BLOCK);
            $verdict = TrueSize::judge(self::read($stick, $places), $run);
        } finally {
            // From the end down: on a stick that wraps, the first of two contents in one place is the true one.
            self::write($stick, array_reverse($before, true), $progress);
            $stick->settle();
        }
        $sentence = $verdict['honest']
            ? count($places).
                ' places all over its '.
                Bytes::of($bytes)->decimal().
                ' hold what was written to them.'
            : 'It claims '.
                Bytes::of($bytes)->decimal().
                ', but from '.
                Bytes::of((int) $verdict['from'])->decimal().
                ' on it does not hold what is written'.
                ($verdict['wraps'] ? ': it begins again at the start' : '').
                '. Do not use it.';

        return ['honest' => $verdict['honest'], 'from' => $verdict['from'], 'sentence' => $sentence];
    }

    /**
     * @param  list<int>  $places
     * @return array<int, string>
     */
    private static function read(StickDevice $stick, array $places): array
    {
        $source = new FileSource($stick->path());
        $read = [];
        foreach ($places as $place) {
            $read[$place] = $source->read($place, TrueSize::BLOCK);
        }

        return $read;
    }

    /** @param  array<int, string>  $blocks */
    private static function write(StickDevice $stick, array $blocks, BuildProgress $progress): void
    {
        $handle =
            @fopen($stick->path(), 'r+b') ?:
            throw BuildFailure::of('protected', 'The stick cannot be opened for writing.');
        foreach ($blocks as $place => $bytes) {
            fseek($handle, $place);
            fwrite($handle, $bytes);
            $progress->mustGoOn();
        }
        fclose($handle);
    }
}
