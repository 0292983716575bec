<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Audit;

use Cobblestone\Machine\Device;

/** From one look at the devices to the next. */
final readonly class AuditStep
{
    /**
     * @param  list<Device>  $cleared  that got a driver
     * @param  list<Device>  $lost  that had one and have none
     * @param  list<Device>  $came  that were not there
     * @param  list<Device>  $went  that are not there any more
     */
    private function __construct(
        public string $source,
        public array $cleared,
        public array $lost,
        public array $came,
        public array $went,
    ) {
    }

    public static function between(DeviceReading $before, DeviceReading $after): self
    {
        $cleared = $lost = [];
        foreach ($after->devices as $key => $device) {
            $was = isset($before->devices[$key]) ? $before->devices[$key]->isDriven() : null;
            if ($was === false && $device->isDriven() === true) {
                $cleared[] = $device;
            } elseif ($was === true && $device->isDriven() === false) {
                $lost[] = $device;
            }
        }

        return new self(
            $after->source,
            $cleared,
            $lost,
            array_values(array_diff_key($after->devices, $before->devices)),
            array_values(array_diff_key($before->devices, $after->devices)),
        );
    }
}
