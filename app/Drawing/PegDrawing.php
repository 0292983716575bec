<?php

declare(strict_types=1);

namespace App\Drawing;

/**
 * A shelf with pegs: a stone hangs where a package lies ready, on a cord with a stick through it where it travels
 * along, sits in the wall where the system brings it; a peg with nothing on it is what is missing.
 */
final class PegDrawing
{
    public const BOX = '0 14 92 70';

    /**
     * @param  string  $hangs  hung, carried, brought or empty
     * @return array{peg: string, cord: string, stone: string, stick: string} path data; empty where a
     *     part is not there
     */
    public static function of(string $hangs, string $seed): array
    {
        $brought = $hangs === 'brought';
        $hanging = $hangs === 'hung' || $hangs === 'carried';

        return [
            'peg' => $brought ? '' : 'M41 12L43.5 30Q46 34 48.5 30L51 12Z',
            'cord' => $hanging ? 'M40 44Q38 30 46 27Q54 30 52 44' : '',
            'stone' => match (true) {
                $hanging => StoneShape::pebble(24, 40, 44, 36, $seed),
                $brought => StoneShape::slab(14, 24, 64, 30, $seed),
                default => '',
            },
            'stick' => $hangs === 'carried' ? 'M10 60H20V56H30V68H20V64H10Z' : '',
        ];
    }
}
