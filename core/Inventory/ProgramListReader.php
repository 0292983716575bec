<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

/** Reads a plain list of installed programs: name and version, separated by comma, semicolon or tab (rules A1, A14). */
final class ProgramListReader
{
    /** More are kept by no list that a person goes through; the first of them count. */
    public const MOST = 400;

    private const NAMES = ['program', 'programs', 'application', 'display name', 'displayname', 'package', 'name'];

    private const VERSIONS = ['version', 'display version', 'displayversion'];

    private const LONGEST = 80;

    public static function recognises(string $text): bool
    {
        $head = strtok(ltrim($text, "\u{FEFF}\r\n "), "\r\n");

        return $head !== false && self::heading($head) !== null && ! DeviceListReader::recognises($text);
    }

    public static function read(string $text): Reading
    {
        $lines = preg_split('/\r\n|\n|\r/', ltrim($text, "\u{FEFF}\r\n ")) ?: [];
        [$name, $version, $separator] = self::heading((string) array_shift($lines)) ?? [0, 1, ','];
        $programs = $notes = [];
        foreach ($lines as $index => $line) {
            if (trim($line) === '') {
                continue;
            }
            $cells = str_getcsv($line, $separator, '"', '');
            $is = Plain::word($cells[$name] ?? null);
            if ($is === null) {
                $notes[] = 'list of programs, line '.($index + 2).': it names no program; left out.';
            } elseif (count($programs) < self::MOST) {
                $programs[mb_substr($is, 0, self::LONGEST)] = mb_substr(
                    Plain::word($cells[$version] ?? null) ?? '',
                    0,
                    self::LONGEST,
                );
            }
        }
        $more = count($lines) - count($notes) - count($programs);
        if (count($programs) === self::MOST && $more > 1) {
            $notes[] = 'list of programs: the first '.self::MOST.' were taken.';
        }

        return new Reading('program-list', 'pasted', notes: $notes, programs: $programs);
    }

    /** @return array{0: int, 1: int, 2: non-empty-string}|null columns of name and version, and the separator */
    private static function heading(string $line): ?array
    {
        foreach ([',', ';', "\t"] as $separator) {
            $cells = array_map(
                static fn (?string $cell): string => mb_strtolower(trim((string) $cell)),
                str_getcsv($line, $separator, '"', ''),
            );
            [$name, $version] = [array_intersect($cells, self::NAMES), array_intersect($cells, self::VERSIONS)];
            if ($name !== [] && $version !== []) {
                return [array_key_first($name), array_key_first($version), $separator];
            }
        }

        return null;
    }
}
