<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Drivers\Matching\DeviceMatch;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Machine;

/** The packages of a job in order, those of them that travel on the stick, and the devices that none is for. */
final readonly class DriverSet
{
    /**
     * @param  list<DriverPackage>  $ordered
     * @param  list<DriverPackage>  $offline
     * @param  list<Device>  $unresolved
     * @param  list<DeviceMatch>  $matches  which device each of them is for
     */
    public function __construct(
        public array $ordered,
        public array $offline,
        public array $unresolved,
        public array $matches,
        public Machine $machine,
        public SystemProfile $system,
    ) {
    }

    /** Whether nobody has read what is inside: a mouse that was plugged in says nothing of it. */
    public function devicesUnknown(): bool
    {
        return $this->matches === [];
    }

    /** @return list<DeviceMatch> the devices that the package was taken for; none where another package needs it */
    public function servedBy(DriverPackage $package): array
    {
        return array_values(array_filter(
            $this->matches,
            static fn (DeviceMatch $match): bool => $match->package?->id === $package->id,
        ));
    }

    /** @return list<string> names of those in this job that need it */
    public function needing(DriverPackage $package): array
    {
        $needing = array_filter(
            $this->ordered,
            static fn (DriverPackage $other): bool => in_array($package->id, $other->needs, true),
        );

        return array_values(array_map(static fn (DriverPackage $other): string => $other->name, $needing));
    }

    /** @return list<string> names of those in this job that it needs */
    public function neededBy(DriverPackage $package): array
    {
        $needed = array_filter(
            $this->ordered,
            static fn (DriverPackage $other): bool => in_array($other->id, $package->needs, true),
        );

        return array_values(array_map(static fn (DriverPackage $other): string => $other->name, $needed));
    }
}
