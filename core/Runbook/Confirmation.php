<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What a one-way step names before it may start, and what it asks to be typed (rules I1, J9, J12). */
final readonly class Confirmation
{
    /** Characters of the serial that are typed from the drive's own label and masked on every page. */
    public const TYPED = 4;

    /** Where a serial can be read: a closed laptop or handheld shows no label. */
    public const READ_FROM = [
        'label' => 'on the drive\'s label',
        'setup' => 'in the firmware\'s setup',
        'console' => 'in the installer\'s console',
    ];

    /** Where the serial of a machine can be read. */
    public const READ_FROM_MACHINE = [
        'label' => 'on the label of the machine',
        'setup' => 'in the firmware\'s setup',
        'console' => 'on the helper, or in the running system',
    ];

    /**
     * @param  int  $bytes  of the drive or stick; 0 where it is a machine, or none is known
     * @param  bool  $machine  whether it is a whole machine, and not a drive of it
     */
    public function __construct(
        public string $device,
        public int $bytes,
        public ?string $serial,
        public string $loses,
        public string $forWhom,
        public bool $typed,
        public bool $machine = false,
    ) {
    }

    /** @return array<string, string> where the serial of this one can be read */
    public function readFrom(): array
    {
        return $this->machine ? self::READ_FROM_MACHINE : self::READ_FROM;
    }

    public function losing(string $loses): self
    {
        return new self(
            $this->device, $this->bytes, $this->serial, $loses, $this->forWhom, $this->typed, $this->machine,
        );
    }

    /** Bytes in groups of three, as lsblk and labels are compared. */
    public function exact(): string
    {
        return number_format($this->bytes, 0, '.', ' ');
    }

    /** Whether these are the last characters of the serial, as printed: case and spaces do not matter. */
    public function accepts(string $typed): bool
    {
        if (! $this->typed || $this->serial === null) {
            return true;
        }

        return self::isSerial($typed, $this->serial);
    }

    /** Whether it is the serial, or its last characters: typed as they are printed, or scanned whole. */
    public static function isSerial(string $typed, string $serial): bool
    {
        $typed = trim($typed);

        return strcasecmp($typed, substr($serial, -self::TYPED)) === 0 || strcasecmp($typed, $serial) === 0;
    }

    /** The serial with the part hidden that has to be read from the drive. */
    public static function mask(string $serial): string
    {
        return mb_substr($serial, 0, max(0, mb_strlen($serial) - self::TYPED)).
            str_repeat('•', min(self::TYPED, mb_strlen($serial)));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'device' => $this->device,
            'bytes' => $this->bytes,
            'serial' => $this->serial,
            'loses' => $this->loses,
            'for_whom' => $this->forWhom,
            'typed' => $this->typed,
            ...$this->machine ? ['machine' => true] : [],
        ];
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
            $fields->string('device'),
            $fields->int('bytes'),
            $fields->optionalString('serial'),
            $fields->string('loses'),
            $fields->string('for_whom'),
            $fields->bool('typed'),
            $fields->optionalBool('machine') ?? false,
        );
    }
}
