<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Frames;

/** The column of a log that the times of frames stand in: where, in which unit, and whether it runs on. */
final readonly class FrameColumn
{
    /**
     * @param  float|null  $unit  seconds of one; null where its name does not say
     * @param  bool  $runs  whether it is a clock, so that a frame's time is what lies between two lines
     */
    private function __construct(public int $at, public string $name, public ?float $unit, public bool $runs)
    {
    }

    /**
     * @param  list<string>  $names  of the columns
     *
     * @throws FrameLogFault where none of them can be it
     */
    public static function among(array $names): self
    {
        $found = [];
        foreach ($names as $at => $name) {
            $plain = mb_strtolower(trim($name, " \t\"'"));
            $isFrame = str_contains($plain, 'frame') && ! preg_match('/count|number|index|\bno\b|\bid\b|rate/', $plain)
                && (self::unit($plain) !== null || str_contains($plain, 'time'));
            $isClock = preg_match('/^(time|elapsed|timestamp|clock)(?![a-z])/', $plain) === 1;
            if ($isFrame || $isClock) {
                $found[$isFrame ? 0 : 1] ??= new self($at, trim($name), self::unit($plain), ! $isFrame);
            }
        }
        // What says that it is of frames goes before a clock.
        ksort($found);

        return array_values($found)[0] ?? throw FrameLogFault::of(
            'No column is called frame time, or time: there are '.implode(', ', array_slice($names, 0, 12)).'.',
        );
    }

    private static function unit(string $name): ?float
    {
        return match (true) {
            preg_match('/(\b|_)(us|µs|microseconds?)\b/u', $name) === 1 => 1e-6,
            preg_match('/(\b|_)(ms|msec|milliseconds?)\b/', $name) === 1 => 1e-3,
            preg_match('/(\b|_)(s|sec|secs|seconds?)\b/', $name) === 1 => 1.0,
            default => null,
        };
    }

    /**
     * The unit by the size of what stands there, where the name does not say it: frames take from a thousandth of a
     * second to a whole one.
     *
     * @param  float  $middle  the middle one of the values
     */
    public function unitBy(float $middle): float
    {
        return $this->unit ?? match (true) {
            $middle >= 1000.0 => 1e-6,
            $middle >= 1.0 => 1e-3,
            default => 1.0,
        };
    }
}
