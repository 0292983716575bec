<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Drivers\Matching\DeviceMatch;
use Cobblestone\Drivers\Matching\DriverShelf;
use Cobblestone\Drivers\Matching\MatchTarget;
use Cobblestone\Drivers\Matching\MatchWords;
use Cobblestone\Drivers\Matching\PackageOffer;
use Cobblestone\Drivers\Matching\Refusal;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Decision;

/** The packages of the shelf held against the devices of a machine and the system it gets (rule D3). */
final readonly class DriverMatcher
{
    /** Families whose devices want a driver on any system. */
    private const DRIVEN = ['graphics', 'network', 'audio', 'chipset', 'storage', 'camera', 'sensor'];

    /**
     * @param  array<string, DriverPackage>  $packages  by their id
     * @param  list<string>  $ofModel  identifiers of the devices that the model's entry names
     */
    private function __construct(
        private array $packages,
        private DriverShelf $shelf,
        private MatchTarget $target,
        private SystemProfile $system,
        private array $ofModel,
    ) {
    }

    /** @param  list<DriverPackage>  $shelf */
    public static function for(Machine $machine, SystemProfile $system, array $shelf, Policy $policy): self
    {
        $packages = $offers = [];
        foreach ($shelf as $package) {
            $packages[$package->id] = $package;
            array_push($offers, ...PackageOffer::of($package, $package->file ?? $package->id));
        }
        $revision = $machine->fact('board.revision')->text();

        return new self(
            $packages,
            new DriverShelf($offers),
            new MatchTarget(
                $system->id,
                $machine->fact('architecture')->text() ?: $machine->model?->architecture,
                $system->build,
                $machine->model?->id,
                $revision === '' ? null : $revision,
                ! $system->noSetupFiles,
                $system->enforcesSignatures,
                $policy->school('driver_channel'),
            ),
            $system,
            array_map(static fn (Device $of): string => $of->identifier, $machine->model->devices ?? []),
        );
    }

    /**
     * What is for another system stands on the same shelf and was never in question: it is not told of. Nor is a
     * device of no family that drivers come in, as long as nothing says that it wants one: a mouse, a hub.
     *
     * @param  list<Device>  $devices
     * @return list<DeviceMatch>
     */
    public function match(array $devices): array
    {
        $isForIt = fn (Refusal $of): bool => in_array($this->system->id, $this->package($of->offer())->systems, true);

        return array_values(array_filter(array_map(
            static fn (DeviceMatch $match): DeviceMatch => $match->with(
                array_values(array_filter($match->refused, $isForIt)),
            ),
            $this->shelf->match($devices, $this->target, $this->system->brings),
        ), $this->concerns(...)));
    }

    private function concerns(DeviceMatch $match): bool
    {
        return in_array($match->device->family, self::DRIVEN, true)
            || in_array($match->device->identifier, $this->ofModel, true)
            || $match->package !== null
            || $match->refused !== []
            || $match->device->isDriven() === false
            || ($match->device->family === 'input' && $match->brings);
    }

    public function package(PackageOffer $offer): DriverPackage
    {
        return $this->packages[$offer->id];
    }

    /**
     * What was decided for each device that more than one package claims.
     *
     * @param  list<DeviceMatch>  $matches
     * @return list<Decision>
     */
    public function decisions(array $matches): array
    {
        $named = fn (PackageOffer $offer): string => $this->package($offer)->title();
        $decisions = [];
        foreach ($matches as $match) {
            if ($match->refused !== []) {
                $decisions[] = MatchWords::decision($match, $this->system->name, $named);
            }
        }

        return $decisions;
    }
}
