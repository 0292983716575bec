<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** One firmware setting as this model words and places it (rule F2). */
final readonly class FirmwareSetting
{
    /**
     * @param  list<string>  $values
     * @param  array<string, string>  $requires  other settings and the values they must have first
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $place,
        public array $values,
        public string $default,
        public array $requires = [],
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $fields->wants('values');

        return new self(
            $fields->string('id'),
            $fields->string('title'),
            $fields->string('place'),
            $fields->strings('values'),
            $fields->string('default'),
            $fields->words('requires'),
        );
    }

    /** The fact that says how it stands. */
    public function fact(): string
    {
        return "firmware.{$this->id}";
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
