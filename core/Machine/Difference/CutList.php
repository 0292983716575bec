<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Difference;

use Cobblestone\Machine\Device;

/**
 * A list of devices that is only a part of one: a machine loses a device or two, a list is pasted without its end
 * (rule T1).
 */
final class CutList
{
    /** Devices that a list has to lack before it is taken for a part of one (default). */
    private const MANY = 3;

    /** @param  int  $named  of so many that were there, those that the list names */
    public static function is(int $named, int $of): bool
    {
        return $of - $named >= self::MANY && 2 * $named < $of;
    }

    /**
     * Buses of which the second list says nothing, or only a part.
     *
     * @param  list<Device>  $there
     * @param  list<Device>  $listed
     * @return list<string>
     */
    public static function silent(array $there, array $listed): array
    {
        $named = array_map(static fn (Device $one): string => $one->identifier, $listed);
        $shown = array_map(static fn (Device $one): string => $one->bus(), $listed);
        $buses = [];
        foreach ($there as $device) {
            $buses[$device->bus()][] = in_array($device->identifier, $named, true);
        }

        return array_keys(array_filter(
            $buses,
            static fn (array $of, string $bus): bool => ! in_array($bus, $shown, true)
                || self::is(count(array_filter($of)), count($of)),
            ARRAY_FILTER_USE_BOTH,
        ));
    }
}
