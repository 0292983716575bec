<?php

declare(strict_types=1);

namespace Cobblestone\Tuning;

/** How much of a machine a job has changed, and so what is read at its end (rule T1). */
enum ProofScope
{
    /** A system was written: everything is read. */
    case Whole;
    /** The present system was worked on: what it shows, its devices and functions. */
    case System;
    /** Only firmware: the version and whether everything is still there. */
    case Firmware;
}
