<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Machine\Model\ObservedStart;
use Cobblestone\Runbook\Wants;

/** What a model was seen to do where something else was predicted (rule B); as often as it was seen. */
final readonly class Quirk
{
    public function __construct(
        public Wants $wants,
        public Outcome $predicted,
        public Outcome $seen,
        public int $times,
    ) {
    }

    public function fits(Wants $wants, Outcome $predicted): bool
    {
        return $this->wants === $wants && $this->predicted === $predicted;
    }

    /** @throws FieldFault where the catalogue names a start or an outcome that there is not */
    public static function of(ObservedStart $start): self
    {
        return self::read(Fields::of($start->toArray()));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->enum('wants', Wants::class),
            $fields->enum('predicted', Outcome::class),
            $fields->enum('seen', Outcome::class),
            $fields->int('times'),
        );
    }

    /** As the catalogue keeps it. */
    public function observed(): ObservedStart
    {
        return new ObservedStart($this->wants->value, $this->predicted->value, $this->seen->value, $this->times);
    }

    /** @return array<string, string|int> */
    public function toArray(): array
    {
        return [
            'wants' => $this->wants->value,
            'predicted' => $this->predicted->value,
            'seen' => $this->seen->value,
            'times' => $this->times,
        ];
    }
}
