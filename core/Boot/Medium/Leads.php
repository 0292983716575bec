<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Medium;

/** Where the loader of a medium leads once it runs. */
enum Leads: string
{
    case Nowhere = 'nowhere';
    case Installer = 'installer';
    case WantedSystem = 'wanted-system';
    case OldSystem = 'old-system';
    case Recovery = 'recovery';
}
