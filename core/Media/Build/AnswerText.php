<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

/** A file of answers that a stick carries, whole: it is short, and the plan that holds it needs nothing else. */
final readonly class AnswerText
{
    /** Bytes; what no such file reaches. */
    public const LONGEST = 262_144;

    public function __construct(public string $path, public string $text)
    {
    }
}
