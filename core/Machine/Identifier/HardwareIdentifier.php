<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Identifier;

/**
 * What a device is, or what a package claims, in parts; what is not said is null (rule D1).
 *
 * Its normal form is one word: bus, vendor and device, then what narrows them.
 *
 *     pci:51a2:0202/4e52:0013#01@028000    subsystem after the slash, revision after #, class after @
 *     usb:5749:0001#0110+02@030101         the interface after +
 *
 *     hdaudio:46e10a10/4e520013#1000       acpi:fnck0704       pci:*:*@0c0330
 */
final readonly class HardwareIdentifier
{
    /**
     * @param  string|null  $vendor  four hexadecimal digits; three or four letters on the platform bus
     * @param  string|null  $device  four hexadecimal digits
     * @param  string|null  $subsystem  who fitted it and what they call it: "4e52:0013"
     * @param  string|null  $revision  two hexadecimal digits; four with USB and audio
     * @param  string|null  $class  pairs of hexadecimal digits without a mark between them, the widest first
     * @param  string|null  $interface  two hexadecimal digits: the part of a USB device
     * @param  string|null  $other  the whole identifier where the bus is none of the known ones
     */
    public function __construct(
        public Bus $bus,
        public ?string $vendor = null,
        public ?string $device = null,
        public ?string $subsystem = null,
        public ?string $revision = null,
        public ?string $class = null,
        public ?string $interface = null,
        public ?string $other = null,
    ) {
    }

    /** The first identifier that the text holds, in any of the forms tools print; null where there is none. */
    public static function of(string $text): ?self
    {
        return IdentifierReader::all($text)[0] ?? null;
    }

    /** The normal form. */
    public function text(): string
    {
        if ($this->bus === Bus::Other) {
            return 'other:'.$this->other;
        }
        $glued = $this->bus === Bus::Audio || $this->bus === Bus::Platform;
        $named = ($this->vendor ?? '*').($glued ? '' : ':').($this->device ?? ($glued ? '' : '*'));
        $subsystem = $this->bus === Bus::Audio ? str_replace(':', '', (string) $this->subsystem) : $this->subsystem;

        return $this->bus->value.':'.$named
            .($this->subsystem === null ? '' : "/{$subsystem}")
            .($this->revision === null ? '' : "#{$this->revision}")
            .($this->interface === null ? '' : "+{$this->interface}")
            .($this->class === null ? '' : "@{$this->class}");
    }

    /** Bus, vendor and device alone, which is how people and lists speak of a device. */
    public function short(): string
    {
        return $this->device === null ? $this->text() : $this->only()->text();
    }

    /**
     * How narrow it is; the higher, the narrower, within one bus. The order is that in which a device itself lists
     * what it may be called: who fitted it and revision, who fitted it, revision, class, the device, its class alone.
     */
    public function specificity(): int
    {
        $class = intdiv(strlen((string) $this->class), 2);

        return match (true) {
            $this->bus === Bus::Other => 1,
            $this->device === null => ($this->vendor === null ? 0 : 10) + $class,
            default => 20
                + ($this->interface === null ? 0 : 40)
                + ($this->subsystem === null ? 0 : 20)
                + ($this->revision === null ? 0 : 10)
                + $class,
        };
    }

    /**
     * Everything a package may claim it by, the narrowest first.
     *
     * @return array<string, self> by its normal form
     */
    public function forms(): array
    {
        if ($this->bus === Bus::Other) {
            return [$this->text() => $this];
        }
        $forms = [];
        if ($this->device !== null) {
            $forms = [
                $this->only($this->subsystem, $this->revision),
                $this->only($this->subsystem),
                $this->only(null, $this->revision),
                ...$this->bus === Bus::Pci ? $this->withClasses($this->vendor, $this->device) : [],
                $this->only(),
            ];
        }
        if ($this->vendor !== null && $this->bus !== Bus::Platform) {
            array_push($forms, ...$this->withClasses($this->vendor, null), ...[new self($this->bus, $this->vendor)]);
        }
        array_push($forms, ...$this->withClasses(null, null));
        $unlike = [];
        foreach ($forms as $form) {
            $unlike[$form->text()] ??= $form;
        }

        return $unlike;
    }

    /** Vendor and device, or the part of a USB device, with what narrows it. */
    private function only(?string $subsystem = null, ?string $revision = null): self
    {
        return new self(
            $this->bus,
            $this->vendor,
            $this->device,
            $subsystem,
            $revision,
            interface: $this->interface,
        );
    }

    /** @return list<self> with its class, from the narrowest to the widest that is spoken of */
    private function withClasses(?string $vendor, ?string $device): array
    {
        // A PCI class of one pair names half a catalogue; nobody claims it.
        $least = $this->bus === Bus::Pci ? 4 : 2;
        $forms = [];
        for ($length = strlen((string) $this->class); $length >= $least; $length -= 2) {
            $forms[] = new self($this->bus, $vendor, $device, class: substr((string) $this->class, 0, $length));
        }

        return $forms;
    }
}
