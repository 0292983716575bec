<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** What is usually seen during a wait, and when to worry (rule J6). */
final readonly class Waiting
{
    /** @param  list<string>  $usual what is normal and harmless */
    public function __construct(public array $usual, public string $nextTest, public int $restarts = 0)
    {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['usual' => $this->usual, 'next_test' => $this->nextTest, 'restarts' => $this->restarts];
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self($data['usual'], $data['next_test'], $data['restarts']);
    }
}
