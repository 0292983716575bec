<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

/** The stick a plan is made for: its exact bytes, sectors and serial (rule M10). */
final readonly class StickTarget
{
    public function __construct(public int $bytes, public int $sector = 512, public ?string $serial = null)
    {
    }

    /**
     * Why this is not the stick the plan was made for; empty when it is. PlanFields again right before the first write.
     *
     * @return list<string>
     */
    public function differencesFrom(StickPlan $plan): array
    {
        return array_values(
            array_filter([
                $this->bytes === $plan->device
                    ? null
                    : 'It has '.
                        number_format($this->bytes, 0, '.', ' ').
                        ' B, the plan is for '.
                        number_format($plan->device, 0, '.', ' ').
                        ' B.',
                $plan->serial === null || $this->serial === $plan->serial
                    ? null
                    : 'Its serial is '.($this->serial ?? 'missing').", the plan is for {$plan->serial}.",
                $this->sector === $plan->sector
                    ? null
                    : "Its sectors have {$this->sector} B, the plan is for {$plan->sector} B.",
            ]),
        );
    }
}
