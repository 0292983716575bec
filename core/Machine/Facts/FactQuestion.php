<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Facts;

use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Question;
use LogicException;

/** Questions in the registry's own words (rules A1, J13). */
final class FactQuestion
{
    /**
     * The question that the registry holds for a fact.
     *
     * @param  list<Act>  $shuts
     * @param  list<Act>  $until
     */
    public static function about(
        string $fact,
        string $decides,
        string $rule,
        int $weight,
        array $shuts = [],
        array $until = [],
    ): Question {
        $text = self::text($fact);

        return new Question($fact, $text, FactRegistry::offers($fact), $decides, $rule, $weight, $shuts, $until);
    }

    /** @param  array<string, string>  $names  what stands in braces in the registry's question => what it is */
    public static function text(string $fact, array $names = []): string
    {
        $asking = FactRegistry::find($fact)?->asking;

        return $asking?->text($names)
            ?? throw new LogicException("Nobody is asked for {$fact}: the registry of facts has no question for it.");
    }
}
