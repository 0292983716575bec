<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Drivers\OldCard;
use Cobblestone\Machine\Device;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\LookedAt;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/** The stones before a card comes out: offline, safe mode, the old driver family removed, shut down (rule D6). */
final class CardSwapSteps
{
    /**
     * @param  list<string>  $waits  facts that hold once the new driver is at hand
     */
    public static function offline(array $waits): Step
    {
        return new Step(
            'network.offline',
            Stage::FetchDrivers,
            'Go offline',
            Presence::Hands,
            Estimate::minutes(0.5, 1, 3),
            ['Unplug the network cable and switch the wireless off.'],
            before: [...$waits, PathFact::TAKEN_IN],
            after: [PathFact::OFFLINE],
            needs: ['hands'],
            acts: [Act::ChangeOldSystem],
            because: [
                new Reason(
                    'Online, the system fetches a driver of its own choice in the middle of the swap.',
                    'D6',
                ),
            ],
            opens: [
                new PutBack(
                    'network',
                    'Network switched off',
                    'The system would have fetched drivers by itself.',
                    'put-back.network',
                ),
            ],
        );
    }

    /**
     * @param  list<string>  $key  facts that hold once the recovery key is in hand; empty where none can be asked for
     */
    public static function safeMode(?SystemProfile $system, array $key): Step
    {
        $way = $system?->safeMode;

        return new Step(
            'boot.safe-mode',
            Stage::Boot,
            'Start in safe mode',
            Presence::Hands,
            Estimate::minutes(2, 4, 10),
            [
                $way === null
                    ? 'Start the system in its safe mode; the catalogue does not say how for this one.'
                    : ucfirst($way).'.',
                ...$key === [] ? [] : ['It may ask for the recovery key, which is in hand: the owner types it.'],
            ],
            before: [PathFact::OFFLINE, PathFact::ENCRYPTION_SETTLED, PathFact::OWNER_AGREED, ...$key],
            after: [PathFact::SAFE_MODE],
            needs: ['hands', 'slot'],
            acts: [Act::ChangeOldSystem],
            because: [
                new Reason(
                    'In safe mode the old driver is not in use and can be removed whole.',
                    'D6',
                    $way === null ? '' : "{$system->name}, as of {$system->asOf}",
                ),
            ],
            boots: [BootEvent::start(Wants::System)],
        );
    }

    public static function removeOld(OldCard $old): Step
    {
        return new Step(
            'drivers.remove-old',
            Stage::Hardware,
            'Remove the old driver',
            Presence::Hands,
            Estimate::minutes(3, 6, 15),
            [
                $old->packages === []
                    ? "Remove everything that drives {$old->name}: driver, tools, control page."
                    : 'Remove what the table lists, with its tools and control page; an older version counts too.',
                ...array_map(
                    static fn (Device $kin): string => "{$kin->name} is of the same maker and stays: its driver goes "
                        .'with the family and comes again with its package.',
                    $old->kin,
                ),
                'Shut down fully. Not: restart.',
            ],
            before: [PathFact::SAFE_MODE],
            after: [PathFact::OLD_DRIVER_GONE, PathFact::SHUT_DOWN],
            needs: ['hands'],
            done: DoneWords::in(SheetPart::Drivers, "The driver of {$old->name} was removed."),
            acts: [Act::ChangeOldSystem],
            because: [
                new Reason('Left-overs of another family make black screens after the logo.', 'D6'),
                ...$old->device === null ? [] : [
                    new Reason("{$old->name} is in the device list as {$old->device->identifier}.", 'D6'),
                ],
            ],
            rows: self::family($old->packages),
        );
    }

    /**
     * What the list of programs may name, each family once.
     *
     * @param  list<DriverPackage>  $packages
     * @return list<array<string, string>>
     */
    private static function family(array $packages): array
    {
        $rows = [];
        foreach ($packages as $package) {
            $row = $rows[$package->name] ?? ['family' => $package->name, 'on the shelf' => '', 'drives' => ''];
            foreach (['on the shelf' => [$package->version], 'drives' => $package->claims] as $column => $more) {
                $there = array_filter(explode(', ', $row[$column]), static fn (string $one): bool => $one !== '');
                $row[$column] = implode(', ', array_unique([...$there, ...$more]));
            }
            $rows[$package->name] = $row;
        }

        return array_values($rows);
    }

    /** Nothing is removed: the machine only has to be off. */
    public static function shutDown(): Step
    {
        return new Step(
            'hardware.shut-down',
            Stage::Hardware,
            'Shut down',
            Presence::Hands,
            Estimate::minutes(0.5, 1, 3),
            ['Shut down fully. Not: restart.'],
            before: [PathFact::ENCRYPTION_SETTLED, PathFact::OWNER_AGREED],
            after: [PathFact::SHUT_DOWN],
            needs: ['hands'],
            acts: [Act::ChangeOldSystem],
            because: [new Reason('Nothing of the old driver has to be removed in between.', 'D6')],
        );
    }

    public static function backOnline(): Step
    {
        return new Step(
            'put-back.network',
            Stage::PutBack,
            'Back online',
            Presence::Hands,
            Estimate::minutes(0.5, 1, 3),
            ['Plug the network cable in again, wireless on. Look for system updates once.'],
            before: [PathFact::DRIVERS_COMPLETE],
            after: [PathFact::ONLINE, PathFact::putBack('network')],
            needs: ['hands', 'network'],
            done: DoneWords::of('It was put online again'),
            acts: [Act::ChangeOldSystem],
            because: [new Reason('It was cut only for the swap.', 'J4')],
            evidence: [LookedAt::as(
                'It is online: a page answers',
                'The cable, or the driver of its network adapter.',
            )],
        );
    }
}
