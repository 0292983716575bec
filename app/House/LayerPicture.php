<?php

namespace App\House;

/** The layers of the core as a picture: each part on its course of stones, the ones it uses below it. */
final class LayerPicture
{
    private const WIDTH = 760;

    private const COURSE = 62;

    private const GAP = 14;

    public static function of(Imports $imports): string
    {
        $courses = array_reverse(Layers::CORE);
        $height = count($courses) * self::COURSE + self::GAP;
        $stones = '';
        foreach ($courses as $index => $parts) {
            $stones .= self::course($parts, self::GAP + $index * self::COURSE, $imports);
        }
        $font = 'font-family="Atkinson Hyperlegible, sans-serif"';

        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %d %d" width="%1$d" height="%2$d" role="img" ',
            self::WIDTH,
            $height,
        ).
            'aria-label="The layers of the core; each part uses only those below it">'.
            "\n".
            "<g {$font} font-size=\"15\" text-anchor=\"middle\" fill=\"#2b2a27\">\n{$stones}</g>\n</svg>\n";
    }

    /** @param  list<string>  $parts */
    private static function course(array $parts, int $y, Imports $imports): string
    {
        $width = intdiv(self::WIDTH - self::GAP, count($parts)) - self::GAP;
        $stones = '';
        foreach ($parts as $index => $part) {
            $x = self::GAP + $index * ($width + self::GAP);
            $uses = array_keys($imports->edges[$part] ?? []);
            sort($uses);
            $words = $uses === [] ? 'uses nothing' : 'uses '.implode(', ', $uses);
            $stones .= sprintf(
                '<g><title>%s %s</title><rect x="%d" y="%d" width="%d" height="%d" rx="12" fill="#e7e2d6" '
                    .'stroke="#8d8676"/><text x="%d" y="%d">%1$s</text></g>'
                    .
                    "\n",
                $part,
                $words,
                $x,
                $y,
                $width,
                self::COURSE - self::GAP,
                $x + intdiv($width, 2),
                $y + 30,
            );
        }

        return $stones;
    }
}
