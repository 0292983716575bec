<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Memory;

/** What the tests made so far say, and whether data may go through this memory (rules A4, A13). */
final readonly class MemoryVerdict
{
    /**
     * @param  MemoryFault|null  $fault  the convicted one, "not memory" included; null while open
     * @param  float  $confidence  0 to 1, of the convicted or the likeliest one
     * @param  list<Suspect>  $suspects  what is still possible, likeliest first
     * @param  bool  $trusted  whether backup, repair and install may go through it
     */
    public function __construct(
        public ?MemoryFault $fault,
        public float $confidence,
        public array $suspects,
        public bool $trusted,
        public string $sentence,
    ) {
    }

    public function isSettled(): bool
    {
        return $this->fault !== null;
    }
}
