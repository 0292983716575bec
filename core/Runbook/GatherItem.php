<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** One thing to lay out before starting (rule J5). */
final readonly class GatherItem
{
    public function __construct(public string $what, public string $why, public int $count = 1)
    {
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
        return new self($fields->string('what'), $fields->string('why'), $fields->int('count'));
    }

    /** @return array{what: string, count: int, why: string} */
    public function toArray(): array
    {
        return ['what' => $this->what, 'count' => $this->count, 'why' => $this->why];
    }
}
