<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What a system needs, what the machine has, and what came of comparing them (rule A2). */
final readonly class NeedFound
{
    public function __construct(
        public string $id,
        public string $title,
        public string $needs,
        public string $has,
        public string $verdict,
        public string $note,
        public bool $bypassable,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('id'),
            $fields->string('title'),
            $fields->string('needs'),
            $fields->string('has'),
            $fields->string('verdict'),
            $fields->string('note'),
            $fields->bool('bypassable'),
        );
    }
}
