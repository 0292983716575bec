<?php

namespace App\Devices;

use Cobblestone\Media\StickCode;

/** The code on a stick's printed label, drawn by qrencode: what is on it, in words that need no network to be read. */
final class StickLabel
{
    /**
     * SVG of the code.
     *
     * @param  array<string, mixed>  $content  what was proven on the stick
     */
    public static function code(string $slug, array $content): string
    {
        return Command::run(
            ['qrencode', '--type=SVG', '--level=M', '--margin=2', '--output=-', '--', StickCode::text($slug, $content)],
            10,
        );
    }
}
