<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** What may be behind something that is seen, and what helps. */
final readonly class SymptomCause
{
    /**
     * @param  string|null  $putBack  what is as it was once it is put back, where the fix released it
     * @param  Blame|null  $blames  whose record it counts against
     */
    public function __construct(
        public string $cause,
        public string $fix,
        public ?string $putBack = null,
        public ?Blame $blames = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('cause'),
            $fields->string('fix'),
            $fields->optionalString('put_back'),
            $fields->optionalEnum('blames', Blame::class),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
