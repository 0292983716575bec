<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Matching;

/** One identifier that a package on the shelf claims. */
final readonly class OfferedClaim
{
    /**
     * @param  string  $identifier  in its normal form
     * @param  string|null  $architecture  null where the package runs on any
     * @param  int|null  $fromBuild  the least build of the system, null for any
     * @param  bool  $compatible  whether it stands there as one that only works with it
     * @param  list<string>  $excluded  normal forms of devices it is not for, though they fit
     */
    public function __construct(
        public string $identifier,
        public ?string $architecture = null,
        public ?int $fromBuild = null,
        public bool $compatible = false,
        public array $excluded = [],
    ) {
    }
}
