<?php

declare(strict_types=1);

namespace Cobblestone\Job;

/** What becomes of the drive that holds the owner's data. */
enum DriveFate
{
    /** The present system stays on it. */
    case Stays;
    case Erased;
    /** Something on it stays; the rest makes room for the new system. */
    case PartlyErased;
    case ComesOut;
    /** Blank, or the machine is new: there is nothing of the owner's on it. */
    case Empty;

    /** Whether something of the owner's goes. */
    public function loses(): bool
    {
        return in_array($this, [self::Erased, self::PartlyErased], true);
    }
}
