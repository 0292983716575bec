<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Audit;

use Cobblestone\Machine\Device;

/** One look at the devices of a machine: how many have a driver (rule D7). */
final readonly class DeviceReading
{
    /** @var array<string, Device> each device once; several alike are told apart by their place */
    public array $devices;

    /** @var array<string, bool|null> whether a driver serves it, as the list says; asked for many times */
    private array $driven;

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
        $this->driven = array_map(static fn (Device $device): ?bool => $device->isDriven(), $keyed);
    }

    public function count(): int
    {
        return count($this->devices);
    }

    public function driven(): int
    {
        return count(array_keys($this->driven, true, true));
    }

    /** null where the list does not say, or does not hold it. */
    public function isDriven(string $key): ?bool
    {
        return $this->driven[$key] ?? null;
    }

    /** @return array<string, Device> those that it says have none */
    public function without(): array
    {
        return array_intersect_key($this->devices, array_flip(array_keys($this->driven, false, true)));
    }

    /** How many it says nothing about. */
    public function unsaid(): int
    {
        return count(array_keys($this->driven, null, true));
    }
}
