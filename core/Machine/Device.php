<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Document\Copy;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Machine\Identifier\Bus;
use Cobblestone\Machine\Identifier\HardwareIdentifier;
use Cobblestone\Machine\Identifier\IdentifierReader;

/** A part that wants a driver, named by its identifier (rule D1). */
final readonly class Device
{
    /** What a package can be for. */
    public const FAMILIES = ['chipset', 'storage', 'network', 'graphics', 'audio', 'input', 'sensor'];

    /** What systems say of a device that works. */
    private const WELL = '/^(?:(?:ok|started|working|works|running|in use|present|enabled)\b|0$)/i';

    /** What they say of one that does not, with or without the number of the fault. */
    private const ILL = '/\b(error|errors|fault|problem|degraded|unknown|no driver|not installed|missing|failed|stopped'
        .'|unclaimed|code *[0-9]+)\b|^[0-9]{1,3}$/i';

    /**
     * @param  string  $identifier  bus and numbers, such as pci:4f51:5500
     * @param  string|null  $subsystem  who fitted it, such as 4e52:0013
     * @param  bool  $wired  whether a network adapter takes a cable
     * @param  list<string>  $identifiers  everything it was read to be called, in normal form; empty where the
     *     identifier says it all
     * @param  string|null  $status  what the running system says of it, in its words
     * @param  int  $count  how many alike were seen by one tool, at least 1
     */
    public function __construct(
        public string $name,
        public string $identifier,
        public string $family,
        public ?string $subsystem = null,
        public ?string $status = null,
        public bool $wired = false,
        public array $identifiers = [],
        public ?string $driver = null,
        public int $count = 1,
    ) {
    }

    /** Whether a driver serves it, as far as the running system says so; null where it says neither. */
    public function isDriven(): ?bool
    {
        return match (true) {
            $this->status !== null && preg_match(self::WELL, $this->status) === 1 => true,
            $this->status !== null && preg_match(self::ILL, $this->status) === 1 => false,
            default => $this->driver === null ? null : true,
        };
    }

    /**
     * What it is called, in parts.
     *
     * @return list<HardwareIdentifier>
     */
    public function identified(): array
    {
        $read = IdentifierReader::all(implode(' ', $this->identifiers) ?: $this->identifier);
        if ($read === []) {
            return [new HardwareIdentifier(Bus::Other, other: $this->identifier)];
        }
        $first = $read[0];

        return $first->subsystem === null && $this->subsystem !== null && $first->bus === Bus::Pci
            ? [
                new HardwareIdentifier(
                    $first->bus,
                    $first->vendor,
                    $first->device,
                    $this->subsystem,
                    $first->revision,
                    $first->class,
                ),
                ...$read,
            ]
            : $read;
    }

    /**
     * Everything a package may claim it by, the narrowest first.
     *
     * @return list<string> normal forms, each once
     */
    public function forms(): array
    {
        $identified = $this->identified();
        if (count($identified) === 1) {
            return array_keys($identified[0]->forms());
        }
        $narrow = [];
        foreach ($identified as $identifier) {
            foreach ($identifier->forms() as $text => $form) {
                $narrow[$text] ??= $form->specificity();
            }
        }
        // Of two equally narrow the one that the device names first: sorting keeps their order.
        arsort($narrow, SORT_NUMERIC);

        return array_keys($narrow);
    }

    public function withStatus(string $status): self
    {
        return new self(
            $this->name,
            $this->identifier,
            $this->family,
            $this->subsystem,
            $status,
            $this->wired,
            $this->identifiers,
            $this->driver,
            $this->count,
        );
    }

    /** The same as one of so many alike. */
    public function counted(int $count): self
    {
        return Copy::of($this, get_object_vars($this), ['count' => $count]);
    }

    /** The same device with what another reading says of it besides. */
    public function and(?self $other): self
    {
        return $other === null
            ? $this
            : new self(
                $this->name,
                $this->identifier,
                $this->family,
                $this->subsystem ?? $other->subsystem,
                $this->status ?? $other->status,
                $this->wired || $other->wired,
                array_values(array_unique([...$this->identifiers, ...$other->identifiers])),
                $this->driver ?? $other->driver,
                max($this->count, $other->count),
            );
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
            $fields->strings('identifiers'),
            $fields->optionalString('driver'),
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
                'identifiers' => $this->identifiers,
                'driver' => $this->driver,
            ],
            static fn (mixed $value): bool => ! in_array($value, [null, false, []], true),
        );
    }
}
