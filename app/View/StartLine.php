<?php

declare(strict_types=1);

namespace App\View;

use App\Models\BootObservation;
use App\Models\Job;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/** A power-on of a stone as it is predicted, and what somebody has said of it. */
final readonly class StartLine
{
    /** @param  string|null  $said  null while nobody has looked */
    private function __construct(
        public int $number,
        public string $outcome,
        public string $predicted,
        public ?string $said,
    ) {
    }

    /** @return list<self> ways into the setup left out */
    public static function of(Job $job, Plan $plan, Step $step): array
    {
        $starts = array_filter(
            $plan->assessment['rehearsal'] ?? [],
            static fn (array $start): bool => $start['step'] === $step->id && $start['wants'] !== Wants::Setup->value,
        );
        if ($starts === []) {
            return [];
        }
        $seen = BootObservation::query()
            ->where('job_id', $job->id)
            ->where('step', $step->id)
            ->where('looked', true)
            ->orderBy('id')
            ->pluck('seen', 'number');

        return array_values(array_map(static function (array $start) use ($seen): self {
            $said = $seen[$start['number']] ?? null;
            $words = static fn (string $outcome): string => lcfirst(Outcome::from($outcome)->title());

            return new self(
                $start['number'],
                $start['outcome'],
                $words($start['outcome']),
                match ($said) {
                    null => null,
                    $start['outcome'] => 'as predicted',
                    default => $words((string) $said),
                },
            );
        }, $starts));
    }
}
