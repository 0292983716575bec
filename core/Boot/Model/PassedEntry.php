<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** An entry of the start order that was tried before, and left. */
final readonly class PassedEntry
{
    /** @param  string  $words  of the stone at which it was left */
    public function __construct(
        public string $title,
        public Outcome $outcome,
        public string $words,
        public ?Cause $cause = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('title'),
            $fields->enum('outcome', Outcome::class),
            $fields->string('words'),
            $fields->optionalEnum('cause', Cause::class),
        );
    }

    /** @return array{title: string, outcome: string, words: string, cause: string|null} */
    public function toArray(): array
    {
        return [
            'title' => $this->title,
            'outcome' => $this->outcome->value,
            'words' => $this->words,
            'cause' => $this->cause?->value,
        ];
    }
}
