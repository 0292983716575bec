<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** Something a rule needs and nobody knows; says what its answer decides (rules A1, J13). */
final readonly class Question
{
    /** Asked for by a reading of the drives, or by what is printed on the one that is meant. */
    public const DRIVE_READING = 'target.reading';

    /**
     * @param  string  $fact  the fact an answer sets
     * @param  array<string, string>  $options  value => words; empty where the answer is typed
     * @param  int  $weight  how much it decides; the heaviest is asked first
     * @param  list<Act>  $shuts  what stones do that must not be done without the answer; empty where it only informs
     * @param  list<Act>  $until  what, once done, makes the answer pointless; empty where nothing does
     */
    public function __construct(
        public string $fact,
        public string $text,
        public array $options,
        public string $decides,
        public string $rule,
        public int $weight,
        public array $shuts = [],
        public array $until = [],
    ) {
    }

    /** The same in other words, where the job calls for them. */
    public function worded(string $text): self
    {
        return new self(
            $this->fact,
            $text,
            $this->options,
            $this->decides,
            $this->rule,
            $this->weight,
            $this->shuts,
            $this->until,
        );
    }

    /** @param  array<string, string>  $options  what this job leaves to choose from */
    public function offering(array $options): self
    {
        return new self(
            $this->fact,
            $this->text,
            $options,
            $this->decides,
            $this->rule,
            $this->weight,
            $this->shuts,
            $this->until,
        );
    }

    /** Whether it is answered by reading a drive rather than by a word. */
    public function isReading(): bool
    {
        return $this->fact === self::DRIVE_READING;
    }

    /** Whether some stone waits for the answer. */
    public function holds(): bool
    {
        return $this->shuts !== [];
    }

    /** Whether this stone, once laid, makes the answer pointless. */
    public function endsWith(Step $step): bool
    {
        return array_filter($step->acts, fn (Act $act): bool => in_array($act, $this->until, true)) !== [];
    }

    public function covers(Step $step): bool
    {
        foreach ($step->acts as $act) {
            if (in_array($act, $this->shuts, true) || ($act === Act::HandOver && $this->holds())) {
                return true;
            }
        }

        return false;
    }

    /** What the stones that need the answer wait for. */
    public function gate(): Gate
    {
        return new Gate(
            "answer-{$this->fact}",
            PathFact::answered($this->fact),
            $this->text,
            '',
            door: Door::answer($this->fact),
            rule: $this->rule,
        );
    }

    /**
     * @param  array<array-key, mixed>  $data  what toArray() gave
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $data): self
    {
        return self::read(Fields::of($data));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('fact'),
            $fields->string('text'),
            $fields->words('options'),
            $fields->string('decides'),
            $fields->string('rule'),
            $fields->int('weight'),
            $fields->has('shuts')
                ? $fields->enums('shuts', Act::class)
                : ($fields->optionalBool('holds') === true
                    ? [Act::Erase]
                    : []),
            $fields->enums('until', Act::class),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'fact' => $this->fact,
            'text' => $this->text,
            'options' => (object) $this->options,
            'decides' => $this->decides,
            'rule' => $this->rule,
            'weight' => $this->weight,
            'holds' => $this->holds(),
            'shuts' => array_column($this->shuts, 'value'),
            'until' => array_column($this->until, 'value'),
        ];
    }
}
