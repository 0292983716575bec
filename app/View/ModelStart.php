<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Boot\Advice;
use Cobblestone\Boot\Model\Stone;
use Cobblestone\Boot\Possibilities;

/** What a stick does on one model of the catalogue. */
final readonly class ModelStart
{
    public bool $succeeds;

    /** @var list<Stone> */
    public array $stones;

    /** @param  ProvingLine|null  $started  the last start of this medium as this model; null where there is none */
    public function __construct(
        public string $id,
        public string $title,
        private Possibilities $possible,
        public ?ProvingLine $started = null,
    ) {
        $first = $possible->likeliest();
        $this->succeeds = $first->outcome->ofAStick() === 'starts';
        $this->stones = $first->stones;
    }

    public function end(): string
    {
        return $this->possible->likeliest()->outcome->title();
    }

    public function cause(): string
    {
        return $this->possible->likeliest()->cause();
    }

    /** What a person sees then. */
    public function seen(): string
    {
        return $this->possible->likeliest()->outcome->seen();
    }

    /** The cheapest way out. */
    public function fix(): string
    {
        return Advice::for($this->possible->likeliest())->fix;
    }

    public function ground(): string
    {
        return "Ground: {$this->possible->likeliest()->ground->title()}";
    }

    /** What decides it; empty where nothing is open. */
    public function dependsOn(): string
    {
        $fact = $this->possible->settledBy();

        return $fact === null ? '' : 'It depends on '.Words::fact($fact).', which nobody has looked at.';
    }

    /** @return list<array{with: string, value: string, end: string}> */
    public function otherwise(): array
    {
        return array_map(static fn (array $other): array => [
            'with' => Words::fact($other['fact']),
            'value' => (string) $other['value'],
            'end' => $other['prediction']->outcome->title(),
        ], $this->possible->otherwise);
    }
}
