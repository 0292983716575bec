<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** Screws of one type in one place, with the letter they are kept under in the tray (rule H1). */
final readonly class ScrewGroup
{
    /**
     * @param  string  $letter  one letter, as marked on the tray
     * @param  string  $head  what turns it: "cross 1", "star 5", "by hand"
     * @param  int|float  $lengthMm  under the head, in millimetres
     */
    public function __construct(
        public string $letter,
        public string $head,
        public int|float $lengthMm,
        public int $count,
        public string $where,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('letter'),
            $fields->string('head'),
            $fields->number('length_mm'),
            $fields->int('count'),
            $fields->string('where'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
