<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** What a system takes for a computer's name (rule I4). */
final readonly class NameRule
{
    /**
     * @param  int  $longest  signs
     * @param  bool  $smallLetters  whether it knows small letters at all
     */
    public function __construct(public int $longest = 63, public bool $smallLetters = true)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->int('longest'), $fields->optionalBool('small_letters') ?? false);
    }

    /**
     * Letters, digits and hyphens, none of these at an end, and not digits alone, which would be taken for an address.
     *
     * @return list<string> what is wrong with the name; empty where the system takes it
     */
    public function faults(string $name): array
    {
        return array_values(array_filter([
            $name === '' ? 'A computer needs a name.' : '',
            strlen($name) > $this->longest
                ? "It has {$this->signs($name)} signs; the system takes {$this->longest} at most."
                : '',
            preg_match('/[^A-Za-z0-9-]/', $name) === 1
                ? 'The system takes letters from A to Z, digits and hyphens, and nothing else.'
                : '',
            preg_match('/^-|-$/', $name) === 1 ? 'It begins or ends with a hyphen.' : '',
            $name !== '' && ctype_digit($name) ? 'Digits alone would be taken for an address.' : '',
            ! $this->smallLetters && preg_match('/[a-z]/', $name) === 1 ? 'The system writes it in capitals.' : '',
        ]));
    }

    private function signs(string $name): int
    {
        return mb_strlen($name);
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
