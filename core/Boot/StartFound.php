<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

use Cobblestone\Boot\Emulated\EmulatedAs;
use Cobblestone\Boot\Model\Ground;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\Model\PassedEntry;
use Cobblestone\Boot\Model\Stone;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Runbook\Wants;

/** One power-on of a path as it was rehearsed (rule B). */
final readonly class StartFound
{
    /**
     * @param  int  $number  which power-on of that step, from 1
     * @param  string  $by  order, menu or key
     * @param  string|null  $device  that it started from
     * @param  list<Stone>  $stones
     * @param  list<string>  $rests  facts that were asked on the way
     * @param  list<PassedEntry>  $passed  entries that were tried before and left
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
        public string $by,
        public Outcome $outcome,
        public ?string $device,
        public array $stones,
        public Ground $ground,
        public int $times,
        public array $rests,
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
            $fields->string('by'),
            $fields->enum('outcome', Outcome::class),
            $fields->optionalString('device'),
            $fields->each('stones', Stone::read(...)),
            $fields->enum('ground', Ground::class),
            $fields->int('times'),
            $fields->strings('rests_on'),
            $fields->each('passed', PassedEntry::read(...)),
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

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'step' => $this->step,
            'title' => $this->title,
            'number' => $this->number,
            'wants' => $this->wants->value,
            'by' => $this->by,
            'outcome' => $this->outcome->value,
            'device' => $this->device,
            'stones' => array_map(static fn (Stone $stone): array => $stone->toArray(), $this->stones),
            'ground' => $this->ground->value,
            'times' => $this->times,
            'rests_on' => $this->rests,
            'passed' => array_map(static fn (PassedEntry $entry): array => $entry->toArray(), $this->passed),
            'succeeds' => $this->succeeds,
            'blocks' => $this->blocks,
            'sentence' => $this->sentence,
            'cause' => $this->cause,
            'seen' => $this->seen,
            'fix' => $this->fix,
            'who' => $this->who,
            'possible' => array_column($this->possible, 'value'),
            'settled_by' => $this->settledBy,
            'otherwise' => array_map(static fn (OtherEnd $end): array => $end->toArray(), $this->otherwise),
            'as' => $this->as?->toArray(),
        ];
    }
}
