<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Setup;

/**
 * A setup-information file taken apart into its sections, each line with its number. Sections of one name are one;
 * names are compared in small letters. Lines are taken apart only when somebody asks for a section.
 */
final class SetupSections
{
    private const LONGEST_LINE = 4096;

    private const MOST_FAULTS = 50;

    /** Marks of one value that are replaced; a value has one or two. */
    private const MOST_MARKS = 20;

    /** @var array<string, list<array{int, string}>> section => number and text of its lines */
    private array $sections = [];

    /** @var list<string> */
    private array $faults = [];

    private int $leftOut = 0;

    /** @var array<string, string>|null */
    private ?array $strings = null;

    public function __construct(string $text)
    {
        $section = null;
        $begun = null;
        foreach (preg_split('/\r\n|\n|\r/', $text) ?: [] as $index => $line) {
            if (strlen($line) > self::LONGEST_LINE) {
                $this->fault($index + 1, 'it is longer than '.self::LONGEST_LINE.' signs and is left out');

                continue;
            }
            $line = self::withoutRemark(trim($line, " \t\0\x1A"));
            if ($begun === null && $line !== '' && $line[0] === '[') {
                $section = $this->heading($line, $index + 1);

                continue;
            }
            [$number, $line] = $begun === null ? [$index + 1, $line] : [$begun[0], $begun[1].$line];
            $goesOn = str_ends_with($line, '\\') && strlen($line) <= self::LONGEST_LINE;
            $begun = $goesOn ? [$number, substr($line, 0, -1)] : null;
            if (! $goesOn && $line !== '' && $section !== null) {
                $this->sections[$section][] = [$number, $line];
            }
        }
        if ($begun !== null && $section !== null) {
            $this->sections[$section][] = $begun;
        }
    }

    public function has(string $section): bool
    {
        return isset($this->sections[strtolower($section)]);
    }

    /**
     * @return list<SetupLine> its lines, with the words of the string table in place of their marks
     */
    public function lines(string $section): array
    {
        return array_map(
            fn (array $line): SetupLine => SetupLine::of($line[0], $line[1], $this->worded(...)),
            $this->sections[strtolower($section)] ?? [],
        );
    }

    public function fault(int $line, string $what): void
    {
        if (count($this->faults) < self::MOST_FAULTS) {
            $this->faults[] = "line {$line}: {$what}";
        } else {
            $this->leftOut++;
        }
    }

    /** @return list<string> what could not be read, each with its line */
    public function faults(): array
    {
        return $this->leftOut === 0 ? $this->faults : [...$this->faults, "and {$this->leftOut} more like these"];
    }

    /** Marks are replaced once: a word that holds a mark itself keeps it, so that none can go round in a circle. */
    private function worded(string $value): string
    {
        if (! str_contains($value, '%')) {
            return $value;
        }
        $this->strings ??= $this->table();

        $worded = (string) preg_replace_callback(
            '/%([^%]*)%/',
            fn (array $mark): string => $mark[1] === ''
                ? '%'
                : $this->strings[strtolower(trim($mark[1]))] ?? $mark[0],
            $value,
            self::MOST_MARKS,
        );

        return substr($worded, 0, self::LONGEST_LINE);
    }

    /** @return array<string, string> mark in small letters => words */
    private function table(): array
    {
        $table = [];
        foreach ($this->sections['strings'] ?? [] as [$number, $text]) {
            $line = SetupLine::of($number, $text, static fn (string $value): string => $value);
            if ($line->key !== null) {
                $table[strtolower($line->key)] ??= $line->values[0] ?? '';
            }
        }

        return $table;
    }

    private function heading(string $line, int $number): ?string
    {
        $end = strpos($line, ']');
        if ($end === false) {
            $this->fault($number, 'the name of a section has no closing bracket');
        }
        $name = strtolower(trim(substr($line, 1, $end === false ? null : $end - 1)));
        if ($name !== '') {
            $this->sections[$name] ??= [];
        }

        return $name === '' ? null : $name;
    }

    /** Behind a semicolon outside quotation marks stands a remark. */
    private static function withoutRemark(string $line): string
    {
        if (! str_contains($line, ';')) {
            return $line;
        }

        return preg_match('/^(?:[^";]++|"(?:[^"]++|"")*+(?:"|$))*+/', $line, $kept) === 1 ? rtrim($kept[0]) : $line;
    }
}
