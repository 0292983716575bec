<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Machine\FactSheet;

/** Something that is seen: whether it is normal, when to worry, what causes it and what to try next (rule J6). */
final readonly class Symptom
{
    public const NORMAL = ['yes' => 'normal', 'for-a-while' => 'normal for a while', 'no' => 'not normal'];

    /**
     * @param  list<string>  $seen  other words for it
     * @param  list<SymptomCause>  $causes  likeliest first
     * @param  list<string>  $steps  identifiers of steps it belongs to, or their beginnings
     * @param  list<Condition>  $appliesIf
     * @param  list<Condition>  $notIf
     * @param  list<string>  $first  what is done before any cause is looked for
     * @param  string|null  $release  who alone may go on afterwards; null where anybody may
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $asOf,
        public string $source,
        public array $seen,
        public string $normal,
        public array $causes,
        public int|float|null $worryAfterMinutes = null,
        public array $steps = [],
        public ?string $nextTest = null,
        public array $appliesIf = [],
        public array $notIf = [],
        public array $first = [],
        public ?string $release = null,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  one that the issues schema accepts
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $document): self
    {
        return self::read(Fields::of($document));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $fields->wants('seen', 'causes');

        return new self(
            $fields->string('id'),
            $fields->string('name'),
            $fields->string('as_of'),
            $fields->string('source'),
            $fields->strings('seen'),
            $fields->oneOf('normal', array_keys(self::NORMAL)),
            $fields->each('causes', SymptomCause::read(...)),
            $fields->optionalNumber('worry_after_minutes'),
            $fields->strings('steps'),
            $fields->optionalString('next_test'),
            $fields->each('applies_if', Condition::read(...)),
            $fields->each('not_if', Condition::read(...)),
            $fields->strings('first'),
            $fields->optionalOneOf('release', ['lead']),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }

    /** The cause of that wording; null where it is not one of these. */
    public function causeOf(string $cause): ?SymptomCause
    {
        foreach ($this->causes as $one) {
            if ($one->cause === $cause) {
                return $one;
            }
        }

        return null;
    }

    /** Whether it can be meant on this job; what is not known does not rule it out. */
    public function applies(FactSheet $facts): bool
    {
        foreach ($this->appliesIf as $condition) {
            if ($condition->holds($facts) === false) {
                return false;
            }
        }
        foreach ($this->notIf as $condition) {
            if ($condition->holds($facts) === true) {
                return false;
            }
        }

        return true;
    }

    public function belongsTo(string $step): bool
    {
        return self::names(['steps' => $this->steps], $step);
    }

    /**
     * The same of an entry that is not read yet.
     *
     * @param  array<array-key, mixed>  $document
     */
    public static function names(array $document, string $step): bool
    {
        foreach ((array) ($document['steps'] ?? []) as $start) {
            if (is_string($start) && str_starts_with($step, $start)) {
                return true;
            }
        }

        return false;
    }

    /** "normal for up to 30 min", "not normal" */
    public function standing(): string
    {
        return $this->worryAfterMinutes === null
            ? self::NORMAL[$this->normal]
            : self::NORMAL[$this->normal].', worry after '.(int) ceil($this->worryAfterMinutes).' min';
    }
}
