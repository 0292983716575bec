<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** Whether a path can be walked: go, hold (an answer is missing) or stop (it cannot work). */
enum Verdict: string
{
    case Go = 'go';
    case Hold = 'hold';
    case Stop = 'stop';
}
