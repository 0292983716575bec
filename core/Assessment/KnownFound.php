<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** Something that is known not to work on this model with this system and version (rule T4). */
final readonly class KnownFound
{
    /**
     * @param  string  $function  in words
     * @param  string  $asOf  YYYY-MM-DD
     */
    public function __construct(public string $function, public string $sentence, public string $asOf)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->string('function'), $fields->string('sentence'), $fields->string('as_of'));
    }

    /** @return array{function: string, sentence: string, as_of: string} */
    public function toArray(): array
    {
        return ['function' => $this->function, 'sentence' => $this->sentence, 'as_of' => $this->asOf];
    }
}
