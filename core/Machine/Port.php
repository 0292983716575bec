<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** A socket a stick, charger or hub can go into (rule J5). */
final readonly class Port
{
    private const SIDES = ['front', 'rear', 'left', 'right', 'top', 'bottom'];

    /** Megabits a second of a socket whose rate nobody has stated (default). */
    private const USUAL_RATE = 5000;

    /**
     * @param  string  $where  in words, as seen from the front
     * @param  float|null  $along  where on that side it is, from 0 to 1
     */
    public function __construct(
        public string $id,
        public string $connector,
        public string $where,
        public int $megabitsPerSecond,
        public bool $charges = false,
        public string $side = '',
        public ?float $along = null,
    ) {
    }

    /** On the front of a case, at the end of a lead inside. */
    public function isFront(): bool
    {
        return $this->side === 'front' || str_starts_with($this->where, 'front');
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
        $along = $fields->optionalNumber('along');

        return new self(
            $fields->string('id'),
            $fields->oneOf('connector', ['usb-a', 'usb-c']),
            $fields->string('where'),
            $fields->optionalInt('megabits_per_second') ?? self::USUAL_RATE,
            $fields->optionalBool('charges') ?? false,
            $fields->optionalOneOf('side', self::SIDES) ?? '',
            $along === null ? null : (float) $along,
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
