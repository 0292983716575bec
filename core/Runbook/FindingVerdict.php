<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** How what was observed stands to what is expected (rule K3). */
enum FindingVerdict: string
{
    case Equal = 'equal';
    case Within = 'within';
    case Differs = 'differs';
    case NotRead = 'not-read';
    /** There is nothing to compare it with. */
    case Noted = 'noted';

    public function holds(): bool
    {
        return $this === self::Differs || $this === self::NotRead;
    }
}
