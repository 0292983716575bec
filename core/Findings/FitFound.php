<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** Whether a system fits a machine, need by need (rule A2). */
final readonly class FitFound
{
    /**
     * @param  list<NeedFound>  $rows
     */
    public function __construct(
        public string $title,
        public array $rows,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('title'),
            $fields->each('rows', NeedFound::read(...)),
        );
    }
}
