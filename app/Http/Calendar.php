<?php

declare(strict_types=1);

namespace App\Http;

use Cobblestone\Handover\HandoverDate;
use Illuminate\Http\Response;

/** Days as a calendar file (RFC 5545), whole days in the order they come. */
final class Calendar
{
    private const LINE = 73;

    /** @param  list<HandoverDate>  $dates */
    public static function of(string $name, string $about, array $dates): Response
    {
        $lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Cobblestone//Dates//EN'];
        foreach ($dates as $date) {
            $day = str_replace('-', '', $date->day);
            array_push(
                $lines,
                'BEGIN:VEVENT',
                "UID:{$about}-{$date->id}@cobblestone.invalid",
                'DTSTAMP:'.now()->utc()->format('Ymd\THis\Z'),
                "DTSTART;VALUE=DATE:{$day}",
                'SUMMARY:'.self::text($date->what),
                'DESCRIPTION:'.self::text($date->more),
                'TRANSP:TRANSPARENT',
                'END:VEVENT',
            );
        }
        $lines[] = 'END:VCALENDAR';

        return new Response(implode('', array_map(self::folded(...), $lines)), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }

    private static function text(string $text): string
    {
        return str_replace(['\\', ';', ',', "\r\n", "\n"], ['\\\\', '\\;', '\\,', '\\n', '\\n'], $text);
    }

    /** A line of at most 75 bytes; what is longer goes on behind a space, never inside a sign. */
    private static function folded(string $line): string
    {
        $folded = '';
        while (strlen($line) > self::LINE) {
            $piece = mb_strcut($line, 0, self::LINE);
            $folded .= "{$piece}\r\n ";
            $line = substr($line, strlen($piece));
        }

        return "{$folded}{$line}\r\n";
    }
}
