<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Proof;

/** What a finished machine was seen to be in one row, and by what. */
final readonly class Observation
{
    /**
     * @param  string  $value  as it would be written down
     * @param  string  $origin  the tool and file, or the person, in words
     * @param  string  $words  what was seen, where the value alone does not say it
     */
    public function __construct(public string $value, public string $origin, public string $words = '')
    {
    }
}
