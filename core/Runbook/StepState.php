<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** How a stone lies: still ahead, ready, being worked on, in trouble, laid, or fallen away by a waiver. */
enum StepState: string
{
    case Ahead = 'ahead';
    case Ready = 'ready';
    case Running = 'running';
    case Trouble = 'trouble';
    case Done = 'done';
    case Waived = 'waived';

    public function isClosed(): bool
    {
        return $this === self::Done || $this === self::Waived;
    }
}
