<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

use Cobblestone\Runbook\Wants;

/** What a model was seen to do where something else was predicted (rule B); as often as it was seen. */
final readonly class Quirk
{
    public function __construct(public Wants $wants, public Outcome $predicted, public Outcome $seen, public int $times)
    {
    }

    public function fits(Wants $wants, Outcome $predicted): bool
    {
        return $this->wants === $wants && $this->predicted === $predicted;
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self(Wants::from($data['wants']), Outcome::from($data['predicted']), Outcome::from($data['seen']), $data['times']);
    }

    /** @return array<string, string|int> */
    public function toArray(): array
    {
        return ['wants' => $this->wants->value, 'predicted' => $this->predicted->value, 'seen' => $this->seen->value, 'times' => $this->times];
    }
}
