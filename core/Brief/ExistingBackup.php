<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** A copy that was there before the job. */
final readonly class ExistingBackup
{
    /**
     * @param  int|null  $samples  files opened from it
     */
    public function __construct(public string $date, public bool $proven, public ?int $samples = null)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->string('date'), $fields->bool('proven'), $fields->optionalInt('samples'));
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this, ['proven']);
    }
}
