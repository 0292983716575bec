<?php

declare(strict_types=1);

namespace Cobblestone\Job;

/** What becomes of the drive that holds the owner's data. */
enum DriveFate
{
    /** The present system stays on it. */
    case Stays;
    case Erased;
    case ComesOut;
    /** Blank, or the machine is new: there is nothing of the owner's on it. */
    case Empty;
}
