<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Machine\Device;

/** The packages of a job in order, those of them that travel on the stick, and the devices that none is for. */
final readonly class DriverSet
{
    /**
     * @param  list<DriverPackage>  $ordered
     * @param  list<DriverPackage>  $offline
     * @param  list<Device>  $unresolved
     * @param  bool  $devicesUnknown  whether nobody has read what is inside
     * @param  int|null  $fetchMinutes  for so long the system fetches drivers by itself once it is online
     */
    public function __construct(
        public array $ordered,
        public array $offline,
        public array $unresolved,
        public bool $devicesUnknown,
        public ?int $fetchMinutes = null,
    ) {
    }
}
