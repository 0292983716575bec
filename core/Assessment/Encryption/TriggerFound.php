<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Encryption;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** Something a job does that a protected drive may ask its key for (rule A7). */
final readonly class TriggerFound
{
    public function __construct(public string $what, public bool $asks)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->string('what'), $fields->bool('asks'));
    }

    /** @return array{what: string, asks: bool} */
    public function toArray(): array
    {
        return ['what' => $this->what, 'asks' => $this->asks];
    }
}
