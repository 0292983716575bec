<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

/** A socket a stick, charger or hub can go into (rule J5). */
final readonly class Port
{
    public function __construct(
        public string $id,
        public string $connector,
        public string $where,
        public int $megabitsPerSecond,
        public bool $charges = false,
        public string $side = '',
    ) {
    }

    /** On the front of a case, at the end of a lead inside. */
    public function isFront(): bool
    {
        return $this->side === 'front' || str_starts_with($this->where, 'front');
    }

    /** @param  array<string, mixed>  $entry */
    public static function fromArray(array $entry): self
    {
        return new self($entry['id'], $entry['connector'], $entry['where'], $entry['megabits_per_second'] ?? 5000, $entry['charges'] ?? false, $entry['side'] ?? '');
    }
}
