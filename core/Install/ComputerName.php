<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\NameRule;

/** A computer's name by the bench's pattern, as the system takes it and nobody else has it (rule I4). */
final class ComputerName
{
    /** Beyond it a pattern is used up. */
    private const MOST = 9999;

    /**
     * @param  string  $pattern  with {n}, and perhaps {slot}
     * @param  callable(string): bool  $isTaken  whether another machine has the name
     * @return string|null null where the pattern cannot be made to fit
     */
    public static function propose(string $pattern, ?int $slot, NameRule $rule, callable $isTaken): ?string
    {
        $pattern = str_replace('{slot}', (string) $slot, $pattern);
        $pattern = $rule->smallLetters ? $pattern : str_replace('{N}', '{n}', strtoupper($pattern));
        [$before, $after] = explode('{n}', $pattern, 2) + ['', ''];
        for ($n = 1; $n <= self::MOST; $n++) {
            $number = sprintf('%02d', $n);
            // The number makes it unlike the others: where it is too long, the words before it give way.
            $room = $rule->longest - strlen($number) - strlen($after);
            $name = substr($before, 0, max(0, $room)).$number.$after;
            if ($rule->faults($name) !== []) {
                return null;
            }
            if (! $isTaken($name)) {
                return $name;
            }
        }

        return null;
    }
}
