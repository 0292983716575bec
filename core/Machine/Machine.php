<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

/** A machine as far as it is known. */
final readonly class Machine
{
    /**
     * @param  list<Drive>  $drives  as read; empty while nobody has read them
     * @param  list<Port>  $ports
     * @param  list<Device>  $devices
     * @param  list<MemoryModule>  $modules  as read, empty slots included
     * @param  list<HealthReading>  $health  every reading of every drive, oldest first
     * @param  array<string, mixed>  $model  the catalogue entry it was taken from, empty for an unknown machine
     */
    public function __construct(
        public string $title,
        public Kind $kind,
        public FactSheet $facts,
        public array $drives = [],
        public array $ports = [],
        public array $devices = [],
        public ?Battery $battery = null,
        public array $model = [],
        public array $modules = [],
        public array $health = [],
    ) {
    }

    public function isCatalogued(): bool
    {
        return $this->model !== [];
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

    /** Ports where a stick can go. */
    public function hasSinglePort(): bool
    {
        return count($this->ports) === 1;
    }
}
