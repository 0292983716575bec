<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Facts;

/** What one fact is: how it is taken, whose it is, how it is said, and whether a model may learn it (rule A1). */
final readonly class FactDefinition
{
    public const DIGIT = ['/\d/', 'a digit'];

    public const LETTER_OR_DIGIT = ['/[\p{L}\d]/u', 'a letter or a digit'];

    /**
     * @param  list<string>  $values  what it can be in a start, best first; empty where any text is taken
     * @param  array<string, string>  $answers  the only words it may be given, and how each is said; empty: any
     * @param  string  $spoken  as a person says it; empty: its name without dots
     * @param  string|null  $learned  the field of a model's entry that keeps it, where it may be learned
     * @param  Asking|null  $asking  how a person is asked for it; null where nobody is
     * @param  array{float|int, float|int}|null  $range  between which a number is plausible, in its own unit
     * @param  array{string, string}|null  $holds  what a copied text must hold: a pattern, and its words
     * @param  bool  $unknownSays  whether "unknown" holds something back, and is not the same as nothing said
     * @param  list<string>  $givenBy  the tools whose output may give it, by the names of Inventory\Reading
     */
    public function __construct(
        public string $name,
        public FactType $type,
        public FactOwner $owner,
        public array $values = [],
        public array $answers = [],
        private string $spoken = '',
        public ?string $learned = null,
        public ?Asking $asking = null,
        public array $givenBy = [],
        public ?array $range = null,
        private bool $unknownSays = false,
        private ?array $holds = null,
    ) {
    }

    public function isFirmware(): bool
    {
        return str_starts_with($this->name, FactRegistry::FIRMWARE);
    }

    public function spoken(): string
    {
        return $this->spoken === '' ? FactRegistry::plain($this->name) : $this->spoken;
    }

    /** @return array<string, string> what a question or a form offers: value => words; empty where it is typed */
    public function offers(): array
    {
        return $this->asking === null || $this->asking->offers === [] ? $this->answers : $this->asking->offers;
    }

    /** Whether the output of that tool may say it; what somebody typed may say everything. */
    public function isGivenBy(string $tool): bool
    {
        return in_array($tool, $this->givenBy, true);
    }

    /**
     * Whether that word may be its value; what nobody knows may always be said. A word that no rule reads would be
     * taken for "not so" (rule U3).
     *
     * @param  list<string>  $besides  what it can be on this machine, such as the values of a setting of its model
     */
    public function takes(string $word, array $besides = []): bool
    {
        $words = $this->words();

        return $words === [] || $word === 'unknown' || in_array($word, [...$words, ...$besides], true);
    }

    /** "between 20 and 1000", where a number is not that; null where it is plausible, or anything is. */
    public function implausible(int|float $number): ?string
    {
        return $this->range === null || ($number >= $this->range[0] && $number <= $this->range[1])
            ? null
            : "between {$this->range[0]} and {$this->range[1]}";
    }

    /**
     * "a digit", where a text that is copied from a label or a screen has none; null where it can be, or nothing was
     * said (rule U3).
     */
    public function lacks(string $text): ?string
    {
        if ($this->holds === null || trim($text) === '' || preg_match($this->holds[0], $text) === 1) {
            return null;
        }

        return $this->holds[1];
    }

    /** Whether "unknown" says something: a drive gives no figures, something stays and nobody knows what. */
    public function mayBeUnknown(): bool
    {
        return $this->unknownSays || isset($this->answers['unknown']);
    }

    /** @return list<string> the only words it may be given; empty where any text is taken */
    public function words(): array
    {
        $said = array_map(strval(...), array_keys($this->answers + ($this->asking->offers ?? [])));

        return match ($this->type) {
            FactType::YesNo => array_values(array_unique(['yes', 'no', ...$said])),
            FactType::Choice => array_values(array_unique([...$said, ...$this->values])),
            default => array_map(strval(...), array_keys($this->answers)),
        };
    }
}
