<?php

namespace App\View;

use Cobblestone\Catalogue\Image;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Text\Visible;

/** Plain text as HTML: everything is escaped, `backticks` become keys or identifiers. */
final class Words
{
    /** A moment in the bench's zone, for sheets: "26 Nov, 14:05"; empty where there is none. */
    public static function stamp(?int $at, string $zone): string
    {
        return $at === null
            ? ''
            : \Illuminate\Support\Carbon::createFromTimestamp($at)->timezone($zone)->format('j M, H:i');
    }

    /** Any value as a page may show it; what is HTML already is left to whoever made it. */
    public static function shown(mixed $value): mixed
    {
        return is_string($value) ? Visible::of($value) : $value;
    }

    /** What is known of the signature of an image's loader, before anybody has looked into the file. */
    public static function signature(Image $image): string
    {
        return match ($image->loaderSigned()) {
            true => "signed, {$image->signer()} signer",
            false => 'unsigned',
            null => 'not inspected',
        };
    }

    private const KEY = '/^(F[0-9]{1,2}|Del|Esc|Enter|volume (up|down)|power)$/';

    /** "4 min ago": how long ago something was, in the coarsest unit that still says something. */
    public static function ago(int $seconds): string
    {
        return match (true) {
            $seconds < 60 => 'just now',
            $seconds < 5400 => intdiv($seconds + 30, 60).' min ago',
            $seconds < 172_800 => intdiv($seconds + 1800, 3600).' h ago',
            default => intdiv($seconds + 43_200, 86_400).' days ago',
        };
    }

    /** A moment of ours as an element of time: local, the date when it is not today. */
    public static function time(\Illuminate\Support\Carbon $at): string
    {
        $zone = (string) config('cobblestone.timezone');
        $local = $at->copy()->timezone($zone);

        return '<time datetime="'.
            $at->toIso8601String().
            '">'.
            $local->format($local->format('Y-m-d') === now($zone)->format('Y-m-d') ? 'H:i' : 'j M H:i').
            '</time>';
    }

    /** A moment in the bench's time. */
    public static function local(\Illuminate\Support\Carbon $at, string $format): string
    {
        return $at->copy()->timezone((string) config('cobblestone.timezone'))->format($format);
    }

    /** A moment as readings and briefs write it, said in the bench's local time; other text as it is. */
    public static function moment(?string $text): string
    {
        if ($text === null || preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d/', $text) !== 1) {
            return (string) $text;
        }
        $zone = (string) config('cobblestone.timezone');
        $local = \Illuminate\Support\Carbon::parse($text, $zone)->timezone($zone);

        return $local->isToday() ? $local->format('H:i') : $local->format('j M H:i');
    }

    /** "firmware.secure_boot" as a person says it. */
    public static function fact(string $name): string
    {
        return FactRegistry::spoken($name);
    }

    public static function html(string $text): string
    {
        return (string) preg_replace_callback(
            '/`([^`]+)`/',
            static function (array $match): string {
                $tag = preg_match(self::KEY, $match[1]) === 1 ? 'kbd' : 'code';

                return "<{$tag}>{$match[1]}</{$tag}>";
            },
            e(Visible::of($text)),
        );
    }
}
