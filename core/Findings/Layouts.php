<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Runbook\Plan;

/** The two devices of a path: the drive the system goes onto, and the stick it comes from. */
final readonly class Layouts
{
    public function __construct(public ?StickFound $stick = null, public ?TargetFound $target = null)
    {
    }

    /** @throws FieldFault with the path of what does not fit */
    public static function of(Plan $plan): self
    {
        return self::read($plan->layouts);
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->optional('stick', StickFound::read(...)),
            $fields->optional('target', TargetFound::read(...)),
        );
    }

    /** @return array{stick: array<string, mixed>|null, target: array<string, mixed>|null} */
    public function toArray(): array
    {
        return ['stick' => $this->stick?->toArray(), 'target' => $this->target?->toArray()];
    }
}
