<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** What the answer file of a path is made from. */
final readonly class AnswersFound
{
    /**
     * @param  string  $path  on the stick
     * @param  array<string, string|list<string>>  $values  name in the template => text, or a list of texts
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
        $values = [];
        foreach (array_keys($fields->block('values')->all()) as $name) {
            $told = $fields->block('values')->told((string) $name);
            $values[(string) $name] = is_array($told) ? $told : (string) $told;
        }

        return new self(
            $fields->string('system'),
            $fields->string('path'),
            $fields->string('format'),
            $values,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return Written::of($this, ['values']);
    }
}
