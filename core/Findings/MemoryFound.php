<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What a memory sheet says, and the next test it wants (rule A4). */
final readonly class MemoryFound
{
    /**
     * @param  string|null  $next  null once it is settled
     */
    public function __construct(
        public string $sentence,
        public ?string $next,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('sentence'),
            $fields->optionalBlock('next')?->string('sentence'),
        );
    }
}
