<?php

declare(strict_types=1);

namespace App\View;

use App\Models\BootObservation;
use App\Models\Job;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\StartFound;
use Cobblestone\Findings\Findings;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Cobblestone\Text\Lowered;

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
        $starts = Findings::startsOf($plan, $step);
        if ($starts === []) {
            return [];
        }
        $seen = BootObservation::query()
            ->where('job_id', $job->id)
            ->where('step', $step->id)
            ->where('looked', true)
            ->orderBy('id')
            ->pluck('seen', 'number');

        return array_map(static function (StartFound $start) use ($seen): self {
            $said = $seen[$start->number] ?? null;
            $words = static fn (Outcome $outcome): string => Lowered::of($outcome->title());

            return new self(
                $start->number,
                $start->outcome->value,
                $words($start->outcome),
                match ($said) {
                    null => null,
                    $start->outcome->value => 'as predicted',
                    default => $words(Outcome::from((string) $said)),
                },
            );
        }, $starts);
    }
}
