<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

/** The head of a rehearsal, counted from the same rows that stand below it (rules B, K5). */
final readonly class RehearsalHead
{
    /**
     * @param  int  $fails  predicted to fail
     * @param  int  $hang  that hang on something nobody has looked at
     * @param  int  $through  predicted to come through
     * @param  int  $otherwise  that went otherwise at the machine
     * @param  int  $looked  that somebody looked at
     */
    private function __construct(
        public int $of,
        public int $fails,
        public int $hang,
        public int $through,
        public int $otherwise,
        public int $looked,
    ) {
    }

    /**
     * @param  list<StartFound>  $starts
     * @param  list<array{step: string, number: int, predicted: string, seen: string, looked: bool}>  $observations
     *     newest first
     */
    public static function of(array $starts, array $observations): self
    {
        $fails = $hang = $otherwise = $looked = 0;
        foreach ($starts as $start) {
            $seen = self::seen($start, $observations);
            $looked += $seen === null ? 0 : 1;
            $otherwise += $seen !== null && $seen['seen'] !== $seen['predicted'] ? 1 : 0;
            $fails += $start->succeeds ? 0 : 1;
            $hang += $start->succeeds && $start->settledBy !== null && $seen === null ? 1 : 0;
        }
        $through = count($starts) - $fails - $hang;

        return new self(count($starts), $fails, $hang, $through, $otherwise, $looked);
    }

    /**
     * What somebody said of that power-on last; null where nobody has looked.
     *
     * @param  list<array{step: string, number: int, predicted: string, seen: string, looked: bool}>  $observations
     * @return array{step: string, number: int, predicted: string, seen: string, looked: bool}|null
     */
    private static function seen(StartFound $start, array $observations): ?array
    {
        foreach ($observations as $one) {
            if ($one['looked'] && $one['step'] === $start->step && $one['number'] === $start->number) {
                return $one;
            }
        }

        return null;
    }
}
