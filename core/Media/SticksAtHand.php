<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Stick;

/** The sticks a job may take, the machine's ports they have to fit, and the bench's way of choosing. */
final readonly class SticksAtHand
{
    /**
     * @param  list<Stick>  $sticks
     * @param  string  $school  smallest or next-up
     * @param  list<string>  $connectors  what the machine's ports take; empty while unknown
     */
    public function __construct(public array $sticks, public string $school, public array $connectors)
    {
    }

    public function without(?Stick $taken): self
    {
        $others = array_filter($this->sticks, static fn (Stick $stick): bool => $stick->id !== $taken?->id);

        return new self(array_values($others), $this->school, $this->connectors);
    }
}
