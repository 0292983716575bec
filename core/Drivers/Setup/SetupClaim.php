<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Setup;

use Cobblestone\Machine\Identifier\HardwareIdentifier;

/** One device that a section of models says its package is for. */
final readonly class SetupClaim
{
    /**
     * @param  string|null  $architecture  x86-64, x86-32 or arm-64; null where the section does not say
     * @param  int|null  $fromBuild  the least build of the system
     * @param  bool  $compatible  whether it stands there as one that only works with it
     * @param  list<string>  $excluded  normal forms of devices it is not for, though they fit
     */
    public function __construct(
        public HardwareIdentifier $identifier,
        public string $description,
        public ?string $architecture = null,
        public ?int $fromBuild = null,
        public bool $compatible = false,
        public array $excluded = [],
    ) {
    }
}
