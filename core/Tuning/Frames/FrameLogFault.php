<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Frames;

use RuntimeException;

/** A log of frame times that says nothing, with the reason. */
final class FrameLogFault extends RuntimeException
{
    public static function of(string $why): self
    {
        return new self($why);
    }
}
