<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** Between what the power limit of a model can be set, in watts; the most is its ceiling. */
final readonly class PowerLimits
{
    public function __construct(public int|float $leastW, public int|float $mostW)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->number('least_w'), $fields->number('most_w'));
    }

    public function holds(float $limitW): bool
    {
        return $limitW >= $this->leastW && $limitW <= $this->mostW;
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
