<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

/** A part that wants a driver, named by its identifier (rule D1). */
final readonly class Device
{
    /**
     * @param  string  $identifier  bus and numbers, such as pci:4f51:5500
     * @param  string|null  $subsystem  who fitted it, such as 4e52:0013
     * @param  bool  $wired  whether a network adapter takes a cable
     * @param  string|null  $status  what the running system says of it, in its words
     */
    public function __construct(public string $name, public string $identifier, public string $family, public ?string $subsystem = null, public ?string $status = null, public bool $wired = false)
    {
    }

    /** The bus of the identifier: pci, usb, acpi, hdaudio. */
    public function bus(): string
    {
        return explode(':', $this->identifier, 2)[0];
    }

    /** @param  array<string, mixed>  $entry */
    public static function fromArray(array $entry): self
    {
        return new self($entry['name'], strtolower($entry['id']), $entry['family'], $entry['subsystem'] ?? null, $entry['status'] ?? null, $entry['wired'] ?? false);
    }

    /** @return array<string, string> */
    public function toArray(): array
    {
        return array_filter(['name' => $this->name, 'id' => $this->identifier, 'family' => $this->family, 'subsystem' => $this->subsystem, 'status' => $this->status], is_string(...));
    }
}
