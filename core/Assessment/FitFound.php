<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** Whether a system fits a machine, need by need, as its path keeps it (rule A2). */
final readonly class FitFound
{
    /** @param  list<Requirement>  $rows */
    public function __construct(public Fit $fit, public string $title, public array $rows)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->enum('fit', Fit::class),
            $fields->string('title'),
            $fields->each('rows', Requirement::read(...)),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'fit' => $this->fit->value,
            'title' => $this->title,
            'rows' => array_map(static fn (Requirement $row): array => $row->toArray(), $this->rows),
        ];
    }
}
