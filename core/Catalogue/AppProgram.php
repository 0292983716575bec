<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** One program of a set: where it comes from, how it is licensed, how it installs without questions (rule T5). */
final readonly class AppProgram
{
    /**
     * @param  string  $from  its publisher, or the system's own sources
     * @param  string  $install  the command or the way that asks nothing
     * @param  string  $proof  what shows that it is there
     */
    public function __construct(
        public string $name,
        public string $from,
        public string $licence,
        public string $install,
        public string $proof,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('name'),
            $fields->string('from'),
            $fields->string('licence'),
            $fields->string('install'),
            $fields->string('proof'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
