<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Drivers\Audit\WhereToLook;
use Cobblestone\Machine\Device;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Text\Counted;

/** The stone at which no device may be left without a driver, or each that is left has its reason (rule D7). */
final class LookOverStep
{
    public static function of(DriverSet $set): Step
    {
        [$ordered, $unresolved] = [$set->ordered, $set->unresolved];

        return new Step(
            'drivers.audit',
            Stage::Drivers,
            'Look drivers over',
            Presence::Hands,
            Estimate::minutes(1, 3, 10),
            self::instructions($set),
            before: [
                PathFact::ONLINE,
                PathFact::UPDATED,
                ...array_map(static fn (DriverPackage $package): string => PathFact::driver($package->id), $ordered),
            ],
            after: [PathFact::DRIVERS_COMPLETE],
            needs: ['hands'],
            done: DoneWords::in(SheetPart::Drivers, 'Every device was looked over.', 'without_driver'),
            evidence: self::readings($unresolved),
            because: [
                self::looked($set->devicesUnknown(), $unresolved),
            ],
        );
    }

    /** @return list<string> */
    private static function instructions(DriverSet $set): array
    {
        $open = array_map(
            static fn (Device $device): string => "Nothing on the shelf for {$device->name} "
                ."(`{$device->identifier}`). Where to look, first: ".WhereToLook::for($device, $set->machine, null)[0],
            $set->unresolved,
        );

        $minutes = $set->system->driverFetchMinutes;

        return [
            ...$minutes === null
                ? []
                : [
                    "Wait until it has been online for {$minutes} minutes: it fetches drivers by itself, "
                        .'and what is missing before may be there then.',
                ],
            'List the devices: none may be left without a driver. Bring the list to this job\'s drivers, and it is '
                .'counted.',
            ...$set->devicesUnknown()
                ? ['This machine\'s devices are not in the catalogue: note each identifier that has no driver.']
                : $open,
        ];
    }

    /**
     * @param  list<Device>  $unresolved
     * @return list<Evidence>
     */
    private static function readings(array $unresolved): array
    {
        return [
            new Evidence(
                'without_driver',
                'Devices without a driver',
                EvidenceKind::Count,
                expected: new Expected((string) count($unresolved)),
                overruledBy: ['lead'],
                remedy: $unresolved === []
                    ? 'Look for its package by identifier; its row says which device.'
                    : 'The shelf has none for '.count($unresolved).' of them.',
            ),
        ];
    }

    /**
     * @param  list<Device>  $unresolved
     */
    private static function looked(bool $devicesUnknown, array $unresolved): Reason
    {
        return new Reason(
            $devicesUnknown
                ? 'What is inside is only known once a system runs.'
                : ($unresolved === []
                    ? 'Every device of this machine has a package or is served by the system.'
                    : Counted::of(count($unresolved), 'device').(count($unresolved) === 1 ? ' has' : ' have')
                        .' no package on the shelf.'),
            'D7',
        );
    }
}
