<?php

namespace App\Devices\Build;

use Cobblestone\Media\Build\FailureRule;
use RuntimeException;

/** A build that came to nothing: what failed, in the kinds of rule M11, and a sentence for people. */
final class BuildFailure extends RuntimeException
{
    /** Whether anything had been written when it failed. */
    public bool $touched = false;

    private function __construct(public readonly string $kind, string $message)
    {
        parent::__construct($message);
    }

    public static function of(string $kind, string $message): self
    {
        if ($kind !== 'cancelled' && $kind !== 'identity' && ! in_array($kind, FailureRule::KINDS, true)) {
            $kind = 'write';
        }

        return new self($kind, $message);
    }

    public static function cancelled(): self
    {
        return new self('cancelled', 'It was cancelled.');
    }
}
