<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** One sentence of a because: what follows, from which source, by which rule. */
final readonly class Reason
{
    public function __construct(public string $text, public string $rule, public string $source = '')
    {
    }

    /** @return array{text: string, rule: string, source: string} */
    public function toArray(): array
    {
        return ['text' => $this->text, 'rule' => $this->rule, 'source' => $this->source];
    }

    /** @param  array{text: string, rule: string, source?: string}  $data */
    public static function fromArray(array $data): self
    {
        return new self($data['text'], $data['rule'], $data['source'] ?? '');
    }
}
