<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** The evidence of a stone that puts something back: somebody looked, and it is so (rule J4). */
final class LookedAt
{
    public const ID = 'as_before';

    /** @param  string  $words  what is seen where it is so, as a sentence without its stop */
    public static function as(string $words, string $remedy): Evidence
    {
        return new Evidence(
            self::ID,
            $words,
            EvidenceKind::Choice,
            ['yes' => 'yes', 'no' => 'no'],
            expected: new Expected('yes'),
            overruledBy: ['lead'],
            remedy: $remedy,
        );
    }
}
