<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Drivers\Matching\DeviceMatch;
use Cobblestone\Machine\Device;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\PathFact;

/** Packages in order, the part that travels on the stick, and what nothing on the shelf answers. */
final readonly class DriverPlan
{
    /**
     * @param  list<DriverPackage>  $ordered
     * @param  list<DriverPackage>  $offline
     * @param  list<Device>  $builtIn
     * @param  list<Device>  $unresolved
     * @param  list<DeviceMatch>  $matches  every device with its decision
     * @param  string  $online  why it gets online, in one sentence; empty while nobody knows
     */
    public function __construct(
        public array $ordered,
        public array $offline,
        public array $builtIn,
        public array $unresolved,
        public Contribution $contribution,
        public string $online = '',
        public array $matches = [],
    ) {
    }

    public function offlineSize(): Bytes
    {
        return DriverPlanner::size($this->offline);
    }

    /** @return list<string> */
    public function offlineFacts(): array
    {
        return array_map(static fn (DriverPackage $package): string => PathFact::driver($package->id), $this->offline);
    }
}
