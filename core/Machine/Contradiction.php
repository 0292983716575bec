<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** Two sources that say different things of one fact, and who settles it (rule A1). */
final readonly class Contradiction
{
    public const BY_RULE = 'rule';

    public const BY_PERSON = 'person';

    /** @param  string|null  $settledBy  BY_RULE, BY_PERSON, or null while a person has still to say which is right */
    public function __construct(public Fact $kept, public Fact $setAside, public ?string $settledBy)
    {
    }

    public function isOpen(): bool
    {
        return $this->settledBy === null;
    }

    /** The same contradiction once a person has said which value is right. */
    public function settled(Fact $by): self
    {
        return new self($by, $this->kept->value === $by->value ? $this->setAside : $this->kept, self::BY_PERSON);
    }

    public function spoken(): string
    {
        $why = match ($this->settledBy) {
            self::BY_RULE => 'The first is used: it outranks the other.',
            self::BY_PERSON => 'Settled by '.$this->kept->origin.'.',
            default => 'The newer one is used until somebody says which is right.',
        };

        return "{$this->kept->name}: {$this->kept->origin} says {$this->kept->spoken()}, {$this->setAside->origin} "
            ."said {$this->setAside->spoken()}. {$why}";
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            Fact::read($fields->block('kept')),
            Fact::read($fields->block('set_aside')),
            $fields->optionalOneOf('settled_by', [self::BY_RULE, self::BY_PERSON]),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'fact' => $this->kept->name,
            'kept' => $this->kept->toArray(),
            'set_aside' => $this->setAside->toArray(),
            'settled_by' => $this->settledBy,
        ];
    }
}
