<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

/** How a stick is made on a kind of computer that is not this bench (rule M13). */
enum HostScript: string
{
    /** Its shell and its tools are the open ones: partitions, file systems and files byte for byte as planned. */
    case Guarded = 'guarded';

    /** A plain shell that calls the host's own commands. */
    case Own = 'own';
}
