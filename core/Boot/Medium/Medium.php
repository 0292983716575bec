<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Medium;

/** What firmware sees of a stick or drive. */
final readonly class Medium
{
    /**
     * @param  string  $table  how its volumes are found, in words
     * @param  string|null  $tableFault  why firmware finds no volume on it
     * @param  list<Volume>  $volumes
     * @param  list<string>  $controllerModes  drive controller modes the system or installer on it has drivers for; empty: all
     * @param  bool  $byOptical  whether its volume comes from an optical start catalogue: on a stick no standard promises that
     */
    public function __construct(
        public Leads $leads,
        public string $table,
        public ?string $tableFault,
        public array $volumes,
        public LegacyCode $legacy,
        public ?Seal $seal = null,
        public array $controllerModes = [],
        public bool $byOptical = false,
    ) {
    }

    public static function blank(): self
    {
        return new self(Leads::Nowhere, 'no table', 'there is no partition table and no file system', [], LegacyCode::NoMark);
    }

    /** The same with another seal of its encrypted volume. */
    public function sealed(?Seal $seal): self
    {
        return new self($this->leads, $this->table, $this->tableFault, $this->volumes, $this->legacy, $seal, $this->controllerModes, $this->byOptical);
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self(Leads::from($data['leads']), $data['table'], $data['table_fault'], array_map(Volume::fromArray(...), $data['volumes']), LegacyCode::from($data['legacy']), $data['seal'] === null ? null : Seal::fromArray($data['seal']), $data['controller_modes'], $data['by_optical']);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['leads' => $this->leads->value, 'table' => $this->table, 'table_fault' => $this->tableFault, 'volumes' => array_map(static fn (Volume $volume): array => $volume->toArray(), $this->volumes), 'legacy' => $this->legacy->value, 'seal' => $this->seal?->toArray(), 'controller_modes' => $this->controllerModes, 'by_optical' => $this->byOptical];
    }
}
