<?php

namespace App\Devices;

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
        $lines = [
            'COBBLESTONE STICK 1',
            $slug,
            (string) ($content['title'] ?? ''),
            'label '.($content['label'] ?? 'none'),
            'image '.substr((string) ($content['image_sha256'] ?? 'not hashed'), 0, 16),
            'mark '.substr((string) ($content['fingerprint'] ?? ''), 0, 16),
            substr((string) ($content['built_at'] ?? ''), 0, 10),
        ];

        return Command::run(
            ['qrencode', '--type=SVG', '--level=M', '--margin=2', '--output=-', '--', implode("\n", $lines)],
            10,
        );
    }
}
