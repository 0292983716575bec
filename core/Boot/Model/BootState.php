<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** Everything that decides how a power-on ends (rule B). Immutable; a step's effects make the next one. */
final readonly class BootState
{
    /**
     * @param  array<string, bool|int|float|string|null>  $facts  named as on the machine's fact sheet; null while
     *     unknown
     * @param  list<string>  $assumed  facts that nobody has looked at
     * @param  list<string>  $trusted  signers the firmware trusts in any case, by the catalogue's names
     * @param  list<BootDevice>  $devices
     * @param  list<BootEntry>  $entries  every line the firmware keeps
     * @param  list<string>  $order  ids of entries and devices, first first
     * @param  string|null  $chosen  device or entry picked in the one-time menu
     * @param  array<string, string>  $switches  signer => setting that makes the firmware trust it
     */
    public function __construct(
        public array $facts,
        public array $assumed,
        public array $trusted,
        public array $devices,
        public array $entries,
        public array $order,
        public ?string $chosen = null,
        public array $switches = [],
    ) {
    }

    public function device(string $id): ?BootDevice
    {
        foreach ($this->devices as $device) {
            if ($device->id === $id) {
                return $device;
            }
        }

        return null;
    }

    public function entry(string $id): ?BootEntry
    {
        foreach ($this->entries as $entry) {
            if ($entry->id === $id) {
                return $entry;
            }
        }

        return null;
    }

    /** @param  array<string, bool|int|float|string|null>  $facts */
    public function knowing(array $facts): self
    {
        return new self(
            [...$this->facts, ...$facts],
            array_values(array_diff($this->assumed, array_keys($facts))),
            $this->trusted,
            $this->devices,
            $this->entries,
            $this->order,
            $this->chosen,
            $this->switches,
        );
    }

    public function withDevice(BootDevice $changed): self
    {
        $present = $this->device($changed->id) !== null;
        $devices = $present
            ? array_map(
                static fn (BootDevice $device): BootDevice => $device->id === $changed->id ? $changed : $device,
                $this->devices,
            )
            : [...$this->devices, $changed];

        return new self(
            $this->facts,
            $this->assumed,
            $this->trusted,
            $devices,
            $this->entries,
            $present ? $this->order : [...$this->order, $changed->id],
            $this->chosen,
            $this->switches,
        );
    }

    /** @param  list<string>  $order */
    public function ordered(array $order): self
    {
        return new self(
            $this->facts,
            $this->assumed,
            $this->trusted,
            $this->devices,
            $this->entries,
            $order,
            $this->chosen,
            $this->switches,
        );
    }

    /** A new line at the head of the list, as an installer enters it. */
    public function entered(BootEntry $entry): self
    {
        $others = array_values(
            array_filter($this->entries, static fn (BootEntry $one): bool => $one->id !== $entry->id),
        );

        return new self(
            $this->facts,
            $this->assumed,
            $this->trusted,
            $this->devices,
            [$entry, ...$others],
            [$entry->id, ...array_values(array_diff($this->order, [$entry->id]))],
            $this->chosen,
            $this->switches,
        );
    }

    public function choosing(?string $device): self
    {
        return new self(
            $this->facts,
            $this->assumed,
            $this->trusted,
            $this->devices,
            $this->entries,
            $this->order,
            $device,
            $this->switches,
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
        $facts = [];
        foreach (array_keys($fields->block('facts')->all()) as $name) {
            $facts[(string) $name] = $fields->block('facts')->optionalScalar((string) $name);
        }

        return new self(
            $facts,
            $fields->strings('assumed'),
            $fields->strings('trusted'),
            $fields->each('devices', BootDevice::read(...)),
            $fields->each('entries', BootEntry::read(...)),
            $fields->strings('order'),
            $fields->optionalString('chosen'),
            array_filter($fields->map('switches'), is_string(...)),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'facts' => $this->facts,
            'assumed' => $this->assumed,
            'trusted' => $this->trusted,
            'devices' => array_map(static fn (BootDevice $device): array => $device->toArray(), $this->devices),
            'entries' => array_map(static fn (BootEntry $entry): array => $entry->toArray(), $this->entries),
            'order' => $this->order,
            'chosen' => $this->chosen,
            'switches' => $this->switches,
        ];
    }
}
