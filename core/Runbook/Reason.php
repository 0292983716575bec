<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

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

    /**
     * @param  array<array-key, mixed>  $data  what toArray() gave
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $data): self
    {
        return self::read(Fields::of($data));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->string('text'), $fields->string('rule'), $fields->optionalString('source') ?? '');
    }
}
