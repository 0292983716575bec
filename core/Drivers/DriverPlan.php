<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Drivers\Matching\DeviceMatch;
use Cobblestone\Drivers\Matching\Refusal;
use Cobblestone\Drivers\Matching\RefusalWords;
use Cobblestone\Machine\Device;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\PathFact;

/** Packages in order, the part that travels on the stick, and what nothing on the shelf answers. */
final readonly class DriverPlan
{
    /**
     * @param  list<DriverPackage>  $ordered
     * @param  list<DriverPackage>  $offline
     * @param  list<Device>  $builtIn
     * @param  list<Device>  $unresolved
     * @param  list<DeviceMatch>  $matches  every device with its decision
     * @param  string  $online  why it gets online, in one sentence; empty while nobody knows
     * @param  bool  $byHand  whether somebody fetches and carries the network driver
     * @param  list<DriverPackage>  $shelf  all there were to choose from
     */
    public function __construct(
        public array $ordered,
        public array $offline,
        public array $builtIn,
        public array $unresolved,
        public Contribution $contribution,
        public string $online = '',
        public array $matches = [],
        private array $shelf = [],
        public bool $byHand = false,
    ) {
    }

    public function offlineSize(): Bytes
    {
        return DriverPlanner::size($this->offline);
    }

    /** @return list<string> facts that hold before the machine is put online */
    public function offlineFacts(): array
    {
        $offline = array_map(
            static fn (DriverPackage $package): string => PathFact::driver($package->id),
            $this->offline,
        );

        return $this->byHand ? [...$offline, PathFact::NETWORK_DRIVEN] : $offline;
    }

    /**
     * Every device with its decision, as the path's findings keep it.
     *
     * @return list<PegFound>
     */
    public function found(): array
    {
        $titles = [];
        foreach ($this->shelf as $one) {
            $titles[$one->id] = $one->title();
        }

        return array_map(function (DeviceMatch $match) use ($titles): PegFound {
            $package = $this->package($match);

            return new PegFound(
                $match->device->name,
                $match->device->identifier,
                $match->device->family,
                match (true) {
                    $package === null => $match->brings ? 'brought' : 'empty',
                    in_array($package, $this->offline, true) => 'carried',
                    default => 'hung',
                },
                $package?->title() ?? '',
                $match->package->setupFile ?? '',
                $package === null ? '' : "drivers.{$package->id}",
                (string) $match->identifier,
                array_map(static fn (Refusal $refusal): RefusedFound => new RefusedFound(
                    $titles[$refusal->offer()->id] ?? $refusal->offer()->id,
                    $refusal->because,
                    RefusalWords::of($refusal),
                ), $match->refused),
                $package->id ?? '',
            );
        }, $this->matches);
    }

    private function package(DeviceMatch $match): ?DriverPackage
    {
        foreach ($this->ordered as $package) {
            if ($package->id === $match->package?->id) {
                return $package;
            }
        }

        return null;
    }
}
