<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/**
 * The act that opens what is shut, and where it is done: no stop without a door, no door that leads nowhere (rule U4).
 */
final readonly class Door
{
    /**
     * @param  string  $at  a fact, a tool, a field of the brief by its path, a page of the job, or a stone
     * @param  string  $does  the act, as a sentence
     * @param  string|null  $value  what the field would have to say; null where a person chooses
     */
    private function __construct(
        public OpensBy $by,
        public string $at,
        public string $does,
        public ?string $value = null,
    ) {
    }

    /** The answer to a question that the path asks. */
    public static function answer(string $fact, string $does = 'Answer the question.'): self
    {
        return new self(OpensBy::Answer, $fact, $does);
    }

    /** A fact that was said and may be said otherwise, once it is otherwise. */
    public static function fact(string $fact, string $does, ?string $value = null): self
    {
        return new self(OpensBy::Choice, "machine.facts.{$fact}", $does, $value);
    }

    /** A reading of that tool. */
    public static function reading(string $tool, string $does): self
    {
        return new self(OpensBy::Reading, $tool, $does);
    }

    /**
     * Another choice in the brief.
     *
     * @param  string  $field  its path, such as "image" or "policy.bypass"
     */
    public static function choice(string $field, string $does, ?string $value = null): self
    {
        return new self(OpensBy::Choice, $field, $does, $value);
    }

    /** Another kind of job; what is done stays done. */
    public static function kind(JobKind $kind): self
    {
        $does = "Change the kind of this job to \"{$kind->title()}\"; what is done stays done.";

        return new self(OpensBy::Choice, 'goal', $does, $kind->value);
    }

    /** A page of the job on which it is settled: "memory", "partitions", "rehearsal", "stick". */
    public static function page(string $page, string $does): self
    {
        return new self(OpensBy::Page, $page, $does);
    }

    /** A stone of the path. */
    public static function step(string $step, string $does): self
    {
        return new self(OpensBy::Step, $step, $does);
    }

    /** Somebody agrees in writing. */
    public static function waiver(): self
    {
        return new self(OpensBy::Waiver, '', 'Have it waived in writing.');
    }

    /** Nothing opens it on this job: what is left to do with the machine. */
    public static function none(string $left): self
    {
        return new self(OpensBy::Nothing, '', $left);
    }

    /** Of a path that was kept before doors were: only by what it opens. */
    public static function before(OpensBy $by): self
    {
        return new self($by, '', $by->spoken());
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->enum('by', OpensBy::class),
            $fields->string('at'),
            $fields->string('does'),
            $fields->optionalString('value'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'by' => $this->by->value,
            'at' => $this->at,
            'does' => $this->does,
            ...$this->value === null ? [] : ['value' => $this->value],
        ];
    }
}
