<?php

declare(strict_types=1);

namespace Cobblestone\Handover;

/** One thing that was done, when, and what proves it (rule K4). */
final readonly class SheetLine
{
    /** @param  list<string>  $proof  in words */
    public function __construct(public string $words, public ?int $at = null, public array $proof = [])
    {
    }

    /** @return array{words: string, at: int|null, proof: list<string>} */
    public function toArray(): array
    {
        return ['words' => $this->words, 'at' => $this->at, 'proof' => $this->proof];
    }
}
