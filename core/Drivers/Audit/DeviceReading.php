<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Audit;

use Cobblestone\Machine\Device;

/** One look at the devices of a machine: how many have a driver (rule D7). */
final readonly class DeviceReading
{
    /** @var array<string, Device> each device once; several alike are told apart by their place */
    public array $devices;

    /** @param  list<Device>  $devices */
    public function __construct(public string $source, array $devices)
    {
        $keyed = $seen = [];
        foreach ($devices as $device) {
            $seen[$device->identifier] = ($seen[$device->identifier] ?? 0) + 1;
            $number = $seen[$device->identifier];
            $keyed[$device->identifier.($number > 1 ? " ({$number})" : '')] = $device;
        }
        $this->devices = $keyed;
    }

    public function count(): int
    {
        return count($this->devices);
    }

    public function driven(): int
    {
        return count(array_filter($this->devices, static fn (Device $device): bool => $device->isDriven() === true));
    }

    /** @return array<string, Device> those that it says have none */
    public function without(): array
    {
        return array_filter($this->devices, static fn (Device $device): bool => $device->isDriven() === false);
    }

    /** How many it says nothing about. */
    public function unsaid(): int
    {
        return count(array_filter($this->devices, static fn (Device $device): bool => $device->isDriven() === null));
    }
}
