<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** What an owner will miss on a system, and what to use instead (rule A14). */
final readonly class Gap
{
    public function __construct(public string $what, public string $because, public ?string $instead = null)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->string('what'), $fields->string('because'), $fields->optionalString('instead'));
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
