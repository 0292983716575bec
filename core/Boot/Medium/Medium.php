<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Medium;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What firmware sees of a stick or drive. */
final readonly class Medium
{
    /**
     * @param  string  $table  how its volumes are found, in words
     * @param  string|null  $tableFault  why firmware finds no volume on it
     * @param  list<Volume>  $volumes
     * @param  list<string>  $controllerModes  drive controller modes the system or installer on it has drivers for;
     *     empty: all
     * @param  bool  $byOptical  whether its volume comes from an optical start catalogue: on a stick no standard
     *     promises that
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
        return new self(
            Leads::Nowhere,
            'no table',
            'there is no partition table and no file system',
            [],
            LegacyCode::NoMark,
        );
    }

    /** The same with another seal of its encrypted volume. */
    public function sealed(?Seal $seal): self
    {
        return new self(
            $this->leads,
            $this->table,
            $this->tableFault,
            $this->volumes,
            $this->legacy,
            $seal,
            $this->controllerModes,
            $this->byOptical,
        );
    }

    /**
     * @param  array<array-key, mixed>  $data  what toArray() gave
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $data): self
    {
        return self::read(Fields::of($data));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->enum('leads', Leads::class),
            $fields->string('table'),
            $fields->optionalString('table_fault'),
            $fields->each('volumes', Volume::read(...)),
            $fields->enum('legacy', LegacyCode::class),
            $fields->optional('seal', Seal::read(...)),
            $fields->strings('controller_modes'),
            $fields->bool('by_optical'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'leads' => $this->leads->value,
            'table' => $this->table,
            'table_fault' => $this->tableFault,
            'volumes' => array_map(static fn (Volume $volume): array => $volume->toArray(), $this->volumes),
            'legacy' => $this->legacy->value,
            'seal' => $this->seal?->toArray(),
            'controller_modes' => $this->controllerModes,
            'by_optical' => $this->byOptical,
        ];
    }
}
