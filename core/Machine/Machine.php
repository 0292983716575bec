<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Document\Copy;
use Cobblestone\Machine\Model\FirmwareSetting;
use Cobblestone\Machine\Model\MachineModel;
use Cobblestone\Machine\Model\WaysIn;

/** A machine as far as it is known. */
final readonly class Machine
{
    /**
     * @param  list<Drive>  $drives  as read; empty while nobody has read them
     * @param  list<Port>  $ports
     * @param  list<Device>  $devices
     * @param  list<MemoryModule>  $modules  as read, empty slots included
     * @param  list<HealthReading>  $health  every reading of every drive, oldest first
     * @param  array<string, string>  $programs  that are installed, name => version, as far as a list was read
     * @param  MachineModel|null  $model  what the catalogue holds of it; null for an unknown machine
     */
    public function __construct(
        public string $title,
        public Kind $kind,
        public FactSheet $facts,
        public array $drives = [],
        public array $ports = [],
        public array $devices = [],
        public ?Battery $battery = null,
        public ?MachineModel $model = null,
        public array $modules = [],
        public array $health = [],
        public WaysIn $makerWays = new WaysIn(),
        public array $programs = [],
    ) {
    }

    public function isCatalogued(): bool
    {
        return $this->model !== null;
    }

    public function withFacts(FactSheet $facts): self
    {
        return Copy::of($this, get_object_vars($this), ['facts' => $facts]);
    }

    public function fact(string $name): Fact
    {
        return $this->facts->get($name);
    }

    /** @return list<Drive> */
    public function internalDrives(): array
    {
        return array_values(array_filter($this->drives, static fn (Drive $drive): bool => $drive->isInternal()));
    }

    /** @return list<FirmwareSetting> as the catalogue describes them; none for an unknown machine */
    public function settings(): array
    {
        return $this->model?->settings() ?? [];
    }

    public function setting(string $id): ?FirmwareSetting
    {
        return $this->model?->setting($id);
    }

    /** Ports where a stick can go. */
    public function hasSinglePort(): bool
    {
        return count($this->ports) === 1;
    }
}
