<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Frames;

use Cobblestone\Text\Visible;

/** One run: how long each frame took, in seconds, and what was left out of it (rule T3). */
final readonly class FrameLog
{
    /** Longer than that is no frame but a gap: a loading screen, a picture that stood still (default). */
    public const GAP = 2.0;

    /** Four and a half hours at 60 a second, and what a worker's memory holds. */
    public const MOST_ROWS = 1_000_000;

    /** More than this part of the lines may not be wrong. */
    private const WRONG = 0.01;

    private const NOTES = 20;

    /**
     * @param  list<float>  $seconds  of each frame, in order
     * @param  int  $gaps  left out because they were longer than GAP
     * @param  list<string>  $notes  what was left out, and what was taken for granted
     */
    private function __construct(public string $name, public array $seconds, public int $gaps, public array $notes)
    {
    }

    /**
     * @param  iterable<string>  $lines  of a table with a line of names, separated by comma, semicolon or tab
     *
     * @throws FrameLogFault where they are no times of frames
     */
    public static function read(string $name, iterable $lines): self
    {
        $separator = ',';
        $column = null;
        [$values, $notes, $wrong, $number] = [[], [], 0, 0];
        foreach ($lines as $line) {
            $number++;
            $line = rtrim($line, "\r\n");
            if ($column === null) {
                [$separator, $column] = self::header($line, $number);

                continue;
            }
            if ($line === '') {
                continue;
            }
            $cell = explode($separator, $line, $column->at + 2)[$column->at] ?? '';
            $value = self::number($cell, $separator);
            if ($value === null || ($value <= 0.0 && ! $column->runs)) {
                $wrong++;
                count($notes) < self::NOTES && $notes[] = "Line {$number}: \"".Visible::line(mb_substr($cell, 0, 30))
                    .'" is no time, and is left out.';

                continue;
            }
            $values[] = $value;
            if (count($values) > self::MOST_ROWS) {
                throw FrameLogFault::of('It has more than '.self::MOST_ROWS.' lines: take a shorter run.');
            }
        }
        if ($column === null || count($values) < 2) {
            throw FrameLogFault::of('There are no times of frames in it.');
        }
        if ($wrong > self::WRONG * ($wrong + count($values))) {
            throw FrameLogFault::of("{$wrong} of its lines have no time in them: {$notes[0]}");
        }

        return self::of($name, $column, $values, $notes);
    }

    /**
     * @param  non-empty-list<float>  $values
     * @param  list<string>  $notes
     */
    private static function of(string $name, FrameColumn $column, array $values, array $notes): self
    {
        if ($column->runs) {
            $values = self::between($values);
        }
        $unit = $column->unitBy(self::middle($values));
        if ($column->unit === null) {
            $notes[] = "\"{$column->name}\" does not say its unit: taken for ".match ($unit) {
                1e-6 => 'microseconds',
                1e-3 => 'milliseconds',
                default => 'seconds',
            }.'.';
        }
        [$seconds, $gaps] = [[], 0];
        foreach ($values as $value) {
            $value * $unit > self::GAP ? $gaps++ : $seconds[] = $value * $unit;
        }
        if ($gaps > 0) {
            $notes[] = "{$gaps} longer than ".self::GAP.' s '.($gaps === 1 ? 'is a gap' : 'are gaps').', and left out.';
        }
        if (count($seconds) < 2) {
            throw FrameLogFault::of('There are no times of frames in it.');
        }

        return new self($name, $seconds, $gaps, $notes);
    }

    /**
     * @return array{non-empty-string, FrameColumn}
     *
     * @throws FrameLogFault
     */
    private static function header(string $line, int $number): array
    {
        foreach ([';', "\t", ','] as $separator) {
            if (str_contains($line, $separator)) {
                return [$separator, FrameColumn::among(explode($separator, $line))];
            }
        }
        if (trim($line) === '' || $number > 1) {
            throw FrameLogFault::of('Its first line names no columns.');
        }

        return [',', FrameColumn::among([$line])];
    }

    /** A number as the table writes it: with a decimal comma where that does not separate. */
    private static function number(string $cell, string $separator): ?float
    {
        $cell = trim($cell, " \"'");
        if ($separator !== ',') {
            $cell = str_replace(',', '.', $cell);
        }
        $value = is_numeric($cell) ? (float) $cell : null;

        return $value === null || ! is_finite($value) ? null : $value;
    }

    /**
     * @param  non-empty-list<float>  $clock
     * @return non-empty-list<float>
     *
     * @throws FrameLogFault where the clock was set back
     */
    private static function between(array $clock): array
    {
        $times = [];
        for ($i = 1, $last = count($clock); $i < $last; $i++) {
            $time = $clock[$i] - $clock[$i - 1];
            if ($time < 0) {
                throw FrameLogFault::of('Its clock goes back after line '.($i + 1).': nothing can be told from it.');
            }
            $time > 0 && $times[] = $time;
        }

        return $times !== [] ? $times : throw FrameLogFault::of('Its clock stands still.');
    }

    /** @param  non-empty-list<float>  $values */
    private static function middle(array $values): float
    {
        // A thousand of them, evenly, say as much about a unit as all.
        $step = max(1, intdiv(count($values), 1000));
        $some = [];
        for ($i = 0, $last = count($values); $i < $last; $i += $step) {
            $some[] = $values[$i];
        }
        sort($some);

        return $some[intdiv(count($some), 2)];
    }

    public function total(): float
    {
        return array_sum($this->seconds);
    }

    public function rate(): float
    {
        return count($this->seconds) / $this->total();
    }

    /**
     * Rates of consecutive blocks of at least a second.
     *
     * @return list<float>
     */
    public function blocks(): array
    {
        [$rates, $frames, $time] = [[], 0, 0.0];
        foreach ($this->seconds as $second) {
            $frames++;
            $time += $second;
            if ($time >= 1.0) {
                $rates[] = $frames / $time;
                [$frames, $time] = [0, 0.0];
            }
        }

        return $rates;
    }
}
