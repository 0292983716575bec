<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Machine\Fact;

/** One need of a system against what is known of the machine (rule A2). */
final readonly class Requirement
{
    public const MEETS = 'meets';

    public const SHORT = 'short';

    public const UNKNOWN = 'unknown';

    public const AFTER_SETTING = 'meets after a setting';

    /**
     * @param  string  $needs  in words and units
     * @param  string  $has  in words and units, with its source
     * @param  string  $note  the margin, what it is short by, or which setting
     * @param  bool  $bypassable  whether the publisher's check can be passed without meeting it
     * @param  string|null  $question  the fact to ask for while unknown
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $needs,
        public string $has,
        public string $verdict,
        public string $note = '',
        public bool $bypassable = false,
        public ?string $question = null,
    ) {
    }

    /** What is known of a fact, with its source. */
    public static function said(Fact $fact): string
    {
        return $fact->isUnknown() ? 'unknown' : "{$fact->spoken()} ({$fact->origin})";
    }

    /** Unknown while nobody knows whether the need is met. */
    public static function judged(?bool $met): string
    {
        return $met === null ? self::UNKNOWN : ($met ? self::MEETS : self::SHORT);
    }

    /**
     * What a path keeps of it: which fact was asked for stands in the question.
     *
     * @throws FieldFault
     */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('id'),
            $fields->string('title'),
            $fields->string('needs'),
            $fields->string('has'),
            $fields->oneOf('verdict', [self::MEETS, self::SHORT, self::UNKNOWN, self::AFTER_SETTING]),
            $fields->string('note'),
            $fields->bool('bypassable'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'title' => $this->title,
            'needs' => $this->needs,
            'has' => $this->has,
            'verdict' => $this->verdict,
            'note' => $this->note,
            'bypassable' => $this->bypassable,
        ];
    }
}
