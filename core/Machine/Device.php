<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** A part that wants a driver, named by its identifier (rule D1). */
final readonly class Device
{
    /** What a package can be for. */
    public const FAMILIES = ['chipset', 'storage', 'network', 'graphics', 'audio', 'input', 'sensor'];

    /**
     * @param  string  $identifier  bus and numbers, such as pci:4f51:5500
     * @param  string|null  $subsystem  who fitted it, such as 4e52:0013
     * @param  bool  $wired  whether a network adapter takes a cable
     * @param  string|null  $status  what the running system says of it, in its words
     */
    public function __construct(
        public string $name,
        public string $identifier,
        public string $family,
        public ?string $subsystem = null,
        public ?string $status = null,
        public bool $wired = false,
    ) {
    }

    /** The bus of the identifier: pci, usb, acpi, hdaudio. */
    public function bus(): string
    {
        return explode(':', $this->identifier, 2)[0];
    }

    /**
     * @param  array<array-key, mixed>  $document
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $document): self
    {
        return self::read(Fields::of($document));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('name'),
            strtolower($fields->string('id')),
            $fields->string('family'),
            $fields->optionalString('subsystem'),
            $fields->optionalString('status'),
            $fields->optionalBool('wired') ?? false,
        );
    }

    /** @throws FieldFault where a model's entry names a family that no package is for */
    public static function readOfModel(Fields $fields): self
    {
        $fields->oneOf('family', self::FAMILIES);

        return self::read($fields);
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return array_filter(
            [
                'name' => $this->name,
                'id' => $this->identifier,
                'family' => $this->family,
                'subsystem' => $this->subsystem,
                'status' => $this->status,
                'wired' => $this->wired,
            ],
            static fn (mixed $value): bool => is_string($value) || $value === true,
        );
    }
}
