<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Model\KnownWay;
use Cobblestone\Machine\Model\Move;

/** A way in as presses and releases with their seconds, to be drawn and to be counted along with (rules F1, F7, F8). */
final readonly class PressSequence
{
    /** A press that is not held, in seconds. */
    private const SHORT = 0.4;

    /** A key that is tapped is tapped so often, in seconds. */
    public const TAP_EVERY = 0.5;

    /** So long after the power button a firmware usually still listens, in seconds. */
    private const LISTENS = 8.0;

    /** A combination is taken hold of so long before the power button, in seconds. */
    private const BEFORE = 1.0;

    /**
     * @param  list<Press>  $presses
     * @param  list<array{at: float, words: string}>  $marks  what to do when, in order
     */
    private function __construct(public array $presses, public array $marks, public float $seconds)
    {
    }

    public static function of(KnownWay $way): self
    {
        if ($way->isHeld()) {
            $held = self::BEFORE + ($way->seconds ?? 4);
            $press = $way->press ?? 'power';

            return new self(
                [new Press($way->key, 0, $held), new Press($press, self::BEFORE, self::BEFORE + self::SHORT)],
                [
                    ['at' => 0.0, 'words' => "Fully off. Hold {$way->key}."],
                    ['at' => self::BEFORE, 'words' => "Press {$press} once, keep holding {$way->key}."],
                    ['at' => $held, 'words' => "Let go of {$way->key}."],
                ],
                $held + 1,
            );
        }

        return new self(
            [new Press('power', 0, self::SHORT), new Press($way->key, self::SHORT, self::LISTENS, true)],
            [
                ['at' => 0.0, 'words' => 'Press power.'],
                ['at' => self::SHORT, 'words' => "Tap {$way->key}, twice a second."],
                ['at' => self::LISTENS, 'words' => 'Nothing yet? Missed: power fully off, once more, earlier.'],
            ],
            self::LISTENS + 1,
        );
    }

    /**
     * A sealed machine's sequence: each move may take hold of something, let go of it, or press it, and then lasts so
     * long.
     *
     * @param  list<Move>  $moves
     */
    public static function ofMoves(array $moves): self
    {
        $presses = $marks = $held = [];
        $at = 0.0;
        foreach ($moves as $move) {
            $marks[] = ['at' => $at, 'words' => rtrim($move->do, '.').'.'];
            if ($move->hold !== null) {
                $held[$move->hold] = $at;
            }
            if ($move->press !== null) {
                $presses[] = new Press($move->press, $at, $at + self::SHORT);
            }
            if ($move->release !== null && isset($held[$move->release])) {
                $presses[] = new Press($move->release, $held[$move->release], $at);
                unset($held[$move->release]);
            }
            $at += (float) ($move->seconds ?? 1);
        }
        foreach ($held as $what => $from) {
            $presses[] = new Press((string) $what, $from, $at);
        }

        return new self($presses, $marks, max(1.0, $at));
    }

    /** @return list<string> what is pressed, each once, in the order it is first touched */
    public function lanes(): array
    {
        $first = [];
        foreach ($this->presses as $press) {
            $first[$press->what] = min($first[$press->what] ?? INF, $press->from);
        }
        asort($first);

        return array_map(strval(...), array_keys($first));
    }
}
