<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** How a power-on ends if something that is assumed is not so. */
final readonly class OtherEnd
{
    public function __construct(public string $fact, public string $value, public Outcome $outcome)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('fact'),
            $fields->string('value'),
            $fields->enum('outcome', Outcome::class),
        );
    }

    /** @return array{fact: string, value: string, outcome: string} */
    public function toArray(): array
    {
        return ['fact' => $this->fact, 'value' => $this->value, 'outcome' => $this->outcome->value];
    }
}
