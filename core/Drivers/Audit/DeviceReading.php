<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Audit;

use Cobblestone\Machine\Device;

/** One look at the devices of a machine: how many have a driver (rule D7). */
final readonly class DeviceReading
{
    /** @var array<string, Device> each device once; of several alike those with a driver first */
    public array $devices;

    /** @var array<string, bool|null> whether a driver serves it, as the list says; asked for many times */
    private array $driven;

    /** @param  list<Device>  $devices */
    public function __construct(public string $source, array $devices)
    {
        $alike = $keyed = [];
        foreach ($devices as $device) {
            $alike[$device->identifier][] = $device;
        }
        // No list says which of several alike is which, and the next may have them in another order.
        foreach ($alike as $identifier => $of) {
            usort($of, static fn (Device $a, Device $b): int => self::rank($a) <=> self::rank($b));
            foreach ($of as $place => $device) {
                $keyed[$place === 0 ? $identifier : $identifier.' ('.($place + 1).')'] = $device;
            }
        }
        $this->devices = $keyed;
        $this->driven = array_map(static fn (Device $device): ?bool => $device->isDriven(), $keyed);
    }

    private static function rank(Device $device): int
    {
        return match ($device->isDriven()) {
            true => 0,
            null => 1,
            false => 2,
        };
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
