<?php

namespace App\Drawing;

use Cobblestone\Boot\Model\Stone;
use Cobblestone\Text\Counted;

/**
 * One power-on as stones from power to where one wanted to be; the one that fails is missing, and only ripples are
 * there.
 */
final class CrossingDrawing
{
    public const HEIGHT = 58;

    /** What the stones are called on the drawing. */
    private const NAMES = [
        'power' => 'power',
        'firmware' => 'firmware',
        'choice' => 'choice',
        'device' => 'device',
        'table' => 'table',
        'volume' => 'FAT',
        'loader' => 'loader',
        'program' => 'program',
        'signature' => 'signature',
        'next stage' => 'next stage',
        'boot sector' => 'boot sector',
        'system' => 'running',
        'key' => 'disk key',
        'drives' => 'drives',
    ];

    /** The way on, in the order a start by UEFI asks for it; what lies beyond a missing stone is only outlined. */
    private const BEYOND = ['device', 'table', 'volume', 'loader', 'signature', 'program'];

    /**
     * @param  list<Stone>  $found  of one power-on
     * @return list<array{name: string, kind: string, width: int, box: string, middle: float|int, shape: string,
     *     words: string}>  kind: stands, missing, beyond or bank
     */
    public static function stones(array $found, string $seed): array
    {
        $stones = [];
        $missing = false;
        foreach ($found as $index => $stone) {
            $missing = $missing || ! $stone->holds;
            $stones[] = self::stone(
                self::NAMES[$stone->name] ?? $stone->name,
                $stone->holds ? 'stands' : 'missing',
                "{$seed}-{$index}-{$stone->name}",
                $stone->words,
            );
        }
        $last = $found === [] ? '' : $found[count($found) - 1]->name;
        $place = array_search($last, self::BEYOND, true);
        foreach ($missing && $place !== false ? array_slice(self::BEYOND, $place + 1) : [] as $name) {
            $stones[] = self::stone(self::NAMES[$name], 'beyond', "{$seed}-{$name}", 'not reached');
        }

        return $stones;
    }

    /**
     * What the drawing shows, for who cannot see it.
     *
     * @param  list<Stone>  $found
     */
    public static function words(array $found): string
    {
        $missing = array_values(array_filter($found, static fn (Stone $stone): bool => ! $stone->holds));

        return Counted::of(count($found), 'stone').', '
            .($missing === [] ? 'all of them stand' : "missing: {$missing[0]->name}");
    }

    /** The far bank: what was wanted, reached or not. */
    public static function bank(string $seed): string
    {
        return StoneShape::slab(2, 6, 154, self::HEIGHT - 14, "{$seed}-bank");
    }

    /** Rings in the water, uneven, where a stone should be. */
    public static function ripples(int $width, string $seed): string
    {
        $path = '';
        foreach ([[0.96, 0.9], [0.78, 0.68], [0.6, 0.46]] as $index => [$w, $h]) {
            $path .= StoneShape::pebble(
                $width / 2 - ($width * $w) / 2,
                self::HEIGHT / 2 + 2 - (self::HEIGHT * $h) / 2,
                $width * $w,
                self::HEIGHT * $h,
                "{$seed}-ripple-{$index}",
            );
        }

        return $path;
    }

    /**
     * @return array{name: string, kind: string, width: int, box: string, middle: float|int, shape: string,
     *     words: string}
     */
    private static function stone(string $name, string $kind, string $seed, string $words): array
    {
        $scatter = new Scatter($seed);
        $width = ($kind === 'missing' ? 86 : 48) + 5 * min(8, mb_strlen($name)) + (int) $scatter->between(-5, 5);
        $height = self::HEIGHT - 12 - $scatter->between(0, 10);

        return [
            'name' => $name,
            'kind' => $kind,
            'width' => $width,
            'box' => "0 0 {$width} ".self::HEIGHT,
            'middle' => $width / 2,
            'words' => $words,
            'shape' => $kind === 'missing'
                    ? self::ripples($width, $seed)
                    : StoneShape::pebble(3, (self::HEIGHT - $height) / 2, $width - 6, $height, $seed),
        ];
    }
}
