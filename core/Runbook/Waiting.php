<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

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
        return new self($fields->strings('usual'), $fields->string('next_test'), $fields->int('restarts'));
    }
}
