<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** One thing to lay out before starting (rule J5). */
final readonly class GatherItem
{
    public function __construct(public string $what, public string $why, public int $count = 1)
    {
    }

    /** @param  array{what: string, count: int, why: string}  $data */
    public static function fromArray(array $data): self
    {
        return new self($data['what'], $data['why'], $data['count']);
    }

    /** @return array{what: string, count: int, why: string} */
    public function toArray(): array
    {
        return ['what' => $this->what, 'count' => $this->count, 'why' => $this->why];
    }
}
