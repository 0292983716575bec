<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** The charger that feeds a machine through a hub, and what the hub takes (rule F8). */
final readonly class Hub
{
    public function __construct(public int|float $chargerW, public int|float $hubW)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->number('charger_w'), $fields->number('hub_w'));
    }

    /** What is usual where nobody has described one (default). */
    public static function usual(): self
    {
        return new self(45, 5);
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
