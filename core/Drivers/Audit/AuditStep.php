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
            [$was, $is] = [$before->isDriven($key), $after->isDriven($key)];
            if ($was === false && $is === true) {
                $cleared[] = $device;
            } elseif ($was === true && $is === false) {
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
