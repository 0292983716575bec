<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** Something the owner depends on, and how it stands with the wanted system (rule A14). */
final readonly class GapFound
{
    public function __construct(
        public string $what,
        public string $standing,
        public string $why,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('what'),
            $fields->string('standing'),
            $fields->string('why'),
        );
    }
}
