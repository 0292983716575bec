<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** How long an upgrade can be taken back, counted from the stone that made it (rule I6). */
final readonly class Rollback
{
    public function __construct(public string $step, public int $days)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self($fields->string('step'), $fields->int('days'));
    }

    /** @return array{step: string, days: int} */
    public function toArray(): array
    {
        return ['step' => $this->step, 'days' => $this->days];
    }
}
