<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** What an edition uses at most (rule A2). */
final readonly class Ceiling
{
    public function __construct(public ?int $memoryBytes = null, public ?int $sockets = null)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->optionalInt('memory_bytes'), $fields->optionalInt('sockets'));
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
