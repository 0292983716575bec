<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** What the place of a graphics card really takes, and what it is wired for (rules H2, H5). */
final readonly class CardSlot
{
    /**
     * @param  int  $lanes  it is wired for, whatever its length lets in
     * @param  int  $generation  of the bus
     * @param  int|float  $lengthMm  the longest card that goes in
     * @param  int|float  $slotsWide  the widest, in slots, cooler included
     */
    public function __construct(
        public int $lanes,
        public int $generation,
        public int|float $lengthMm,
        public int|float $slotsWide,
        public ?string $where = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->int('lanes'),
            $fields->int('generation'),
            $fields->number('length_mm'),
            $fields->number('slots_wide'),
            $fields->optionalString('where'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
