<?php

declare(strict_types=1);

namespace Cobblestone\Tuning;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Bytes;

/** What is proven: the machine, and what the path put on it. */
final readonly class ProofSubject
{
    /**
     * @param  Drive|null  $target  where the system was put, if it was
     * @param  Bytes|null  $graphics  what the graphics take of the memory
     * @param  string|null  $other  the system that stays on the drive beside the new one
     * @param  int  $unresolved  devices that no package is known for
     */
    public function __construct(
        public Machine $machine,
        public ?SystemProfile $system,
        public ?string $edition = null,
        public ?Drive $target = null,
        public ?Bytes $graphics = null,
        public int $unresolved = 0,
        public ?string $other = null,
    ) {
    }
}
