<?php

declare(strict_types=1);

namespace App\View;

/** Fields of the intake form that belong together, and whether they lie open. */
final readonly class IntakeGroup
{
    /** @param  list<IntakeField>  $fields */
    public function __construct(public string $title, public array $fields, private bool $said)
    {
    }

    /** Open where something of it was said, or one of its fields was not taken. */
    public function isOpen(): bool
    {
        $faults = array_map(static fn (IntakeField $field): string => $field->fault(), $this->fields);

        return $this->said || session('errors')?->hasAny($faults) === true;
    }
}
