<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** Which of the path's two devices a stone is about: its layout is shown there. */
enum WorksOn: string
{
    case Stick = 'stick';
    case Target = 'target';
}
