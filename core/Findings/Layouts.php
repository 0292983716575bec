<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Runbook\Plan;

/** The two devices of a path: the drive the system goes onto, and the stick it comes from. */
final readonly class Layouts
{
    private function __construct(public ?TargetFound $target, public ?StickFound $stick)
    {
    }

    /** @throws FieldFault with the path of what does not fit */
    public static function of(Plan $plan): self
    {
        $fields = Fields::of($plan->layouts, 'layouts');

        return new self(
            $fields->optional('target', TargetFound::read(...)),
            $fields->optional('stick', StickFound::read(...)),
        );
    }
}
