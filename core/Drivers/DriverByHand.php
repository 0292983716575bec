<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Machine\Device;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\WorksOn;

/** The driver of a network adapter that no shelf holds: fetched and carried by somebody, and put in first (rule D5). */
final readonly class DriverByHand
{
    /** Its folder, on whichever stick it travels. */
    private const FOLDER = 'DRIVERS';

    /** @param  bool  $alone  whether the installer's stick carries nothing beside the image: then another one does */
    public function __construct(private Machine $machine, private bool $alone)
    {
    }

    public function contribution(): Contribution
    {
        return new Contribution(
            [$this->carry(), $this->install()],
            gather: $this->alone
                ? [new GatherItem('a second small stick, FAT32', 'carries the network driver that is fetched by hand')]
                : [],
        );
    }

    /** Facts that the reading back of the installer's stick waits for: what lies on it is read back with it. */
    public function onInstaller(): ?string
    {
        return $this->alone ? null : PathFact::DRIVER_BY_HAND;
    }

    private function adapter(): string
    {
        $adapters = array_filter(
            $this->machine->devices,
            static fn (Device $device): bool => $device->family === 'network',
        );
        $names = array_map(static fn (Device $device): string => "{$device->name} ({$device->identifier})", $adapters);

        return $names === [] ? 'the network adapter of this machine' : implode(', ', $names);
    }

    private function carry(): Step
    {
        $folder = self::FOLDER;

        return new Step(
            'media.driver-by-hand',
            Stage::Media,
            $this->alone ? 'Network driver onto a second stick' : 'Network driver onto the stick',
            Presence::Hands,
            Estimate::minutes(3, 8, 25),
            [
                "Fetch the driver of {$this->adapter()} from the maker's page of exactly this model, else from the "
                    .'maker of the part, for the system that is installed.',
                $this->alone
                    ? "Copy it into `{$folder}` on a second stick, FAT32: the first one is written as it is and "
                        .'carries nothing beside the image.'
                    : "Copy it into `{$folder}` on the stick, beside the installer's own files.",
                'Compare its checksum with the page it came from, where that gives one.',
            ],
            before: $this->alone ? [PathFact::GATHERED] : [PathFact::STICK_WRITTEN],
            after: [PathFact::DRIVER_BY_HAND],
            needs: ['hands', 'stick', 'bench computer', 'network'],
            acts: [Act::WriteStick],
            because: [new Reason('The shelf holds none, and without it nothing can be fetched afterwards.', 'D5')],
            evidence: [new Evidence('driver_file', 'Name and version of what was put on it', 'text')],
            worksOn: WorksOn::Stick,
        );
    }

    private function install(): Step
    {
        $folder = self::FOLDER;

        return new Step(
            'drivers.by-hand',
            Stage::Network,
            'Network driver from the stick',
            Presence::Hands,
            Estimate::minutes(2, 5, 15),
            [
                ($this->alone ? 'Put the second stick in' : 'Put the stick in again')
                    .", and install from `{$folder}` what was put there.",
                'The adapter must be listed without a fault afterwards.',
            ],
            before: [PathFact::FIRST_BOOT_DONE, PathFact::DRIVER_BY_HAND],
            after: [PathFact::NETWORK_DRIVEN],
            needs: ['hands', 'stick'],
            acts: [Act::WriteSystem],
            because: [new Reason('It comes before the network, which it makes possible.', 'D4, D5')],
        );
    }
}
