<?php

declare(strict_types=1);

namespace App\View;

use App\Models\StickBuild;
use App\Models\StickState;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\StickCondition;

/** A stick in the rack of the register. */
final readonly class StickLine
{
    /** @param  StickBuild|null  $build  one that waits or runs */
    public function __construct(
        public Stick $stick,
        private StickState $state,
        public StickCondition $condition,
        public ?StickBuild $build,
    ) {
    }

    /** What is on it, or what was noted. */
    public function contents(): string
    {
        return $this->state->said('title') ?: $this->stick->contents ?? 'contents not known';
    }

    public function building(): string
    {
        return $this->build?->state === 'queued' ? 'waits to be built' : 'being built';
    }

    public function buildTitle(): string
    {
        return $this->build?->title() ?? '';
    }

    public function rates(): string
    {
        $health = $this->stick->health === 'good' ? '' : " · {$this->stick->health}";

        return strtoupper($this->stick->connector)." · writes {$this->stick->writeRate()->label()}, reads ".
            $this->stick->readRate()->label().$health;
    }

    /** Whether it answers to that search, given in small letters. */
    public function answers(string $query): bool
    {
        $said = [$this->contents(), $this->state->said('label')];
        $words = [$this->stick->name, $this->stick->serial, $this->stick->id, ...$said];

        return str_contains(mb_strtolower(implode(' ', array_filter($words, is_string(...)))), $query);
    }
}
