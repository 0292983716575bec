<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** Whether an image lies on this bench's shelf, and how fast its line has been. */
final readonly class ImageAtHand
{
    /** @param  float|null  $megabits  a second, as measured over what was fetched; null: nothing was yet */
    public function __construct(public bool $here, public ?float $megabits = null)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $megabits = $fields->optionalNumber('megabits');

        return new self($fields->bool('here'), $megabits === null ? null : (float) $megabits);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return Written::of($this, ['here']);
    }
}
