<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Catalogue\HealthGrade;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** How well a drive is, from its own readings (rule A5). */
final readonly class DriveFound
{
    /**
     * @param  list<string>  $facts  the decisive one first
     * @param  string|null  $at  of the newest reading
     */
    public function __construct(
        public string $serial,
        public string $model,
        public HealthGrade $grade,
        public array $facts,
        public int $readings,
        public ?string $at,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('serial'),
            $fields->string('model'),
            $fields->enum('grade', HealthGrade::class),
            $fields->strings('facts'),
            $fields->int('readings'),
            $fields->optionalString('at'),
        );
    }
}
