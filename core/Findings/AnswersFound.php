<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What the answer file of a path is made from. */
final readonly class AnswersFound
{
    /**
     * @param  string  $path  on the stick
     * @param  array<array-key, mixed>  $values  name in the template => text, or a list of texts
     */
    public function __construct(
        public string $system,
        public string $path,
        public string $format,
        public array $values,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('system'),
            $fields->string('path'),
            $fields->string('format'),
            $fields->block('values')->all(),
        );
    }
}
