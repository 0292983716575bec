<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Boot\Emulated\EmulatedAs;
use Cobblestone\Boot\Model\Ground;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Runbook\Wants;

/** One power-on of a path as it was rehearsed (rule B). */
final readonly class StartFound
{
    /**
     * @param  int  $number  which power-on of that step, from 1
     * @param  list<StoneFound>  $stones
     * @param  list<PassedFound>  $passed
     * @param  bool  $blocks  whether it holds the stone back
     * @param  string  $seen  what a person sees then
     * @param  string  $fix  cheapest way out; empty where none is needed
     * @param  string|null  $who  whom that takes
     * @param  list<Outcome>  $possible  every end that unknown facts allow
     * @param  string|null  $settledBy  the fact that decides between them
     * @param  list<OtherEnd>  $otherwise
     * @param  EmulatedAs|null  $as  the emulated machine that comes nearest to the machine as it is set then
     */
    public function __construct(
        public string $step,
        public string $title,
        public int $number,
        public Wants $wants,
        public Outcome $outcome,
        public array $stones,
        public Ground $ground,
        public int $times,
        public array $passed,
        public bool $succeeds,
        public bool $blocks,
        public string $sentence,
        public string $cause,
        public string $seen,
        public string $fix,
        public ?string $who,
        public array $possible,
        public ?string $settledBy,
        public array $otherwise,
        public ?EmulatedAs $as = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('step'),
            $fields->string('title'),
            $fields->int('number'),
            $fields->enum('wants', Wants::class),
            $fields->enum('outcome', Outcome::class),
            $fields->each('stones', StoneFound::read(...)),
            $fields->enum('ground', Ground::class),
            $fields->int('times'),
            $fields->each('passed', PassedFound::read(...)),
            $fields->bool('succeeds'),
            $fields->bool('blocks'),
            $fields->string('sentence'),
            $fields->string('cause'),
            $fields->string('seen'),
            $fields->string('fix'),
            $fields->optionalString('who'),
            $fields->enums('possible', Outcome::class),
            $fields->optionalString('settled_by'),
            $fields->each('otherwise', OtherEnd::read(...)),
            $fields->optional('as', EmulatedAs::read(...)),
        );
    }
}
