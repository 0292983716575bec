<?php

namespace App\Bridge;

use App\Models\Job;
use Cobblestone\Bench\Bell;

/** The bell over all open jobs, from their stored summaries. */
final class BellBridge
{
    /** @return list<array{job: int, slot: int|null, title: string, step: string, action: string, due: int, overdue: bool}> */
    public function items(): array
    {
        $jobs = Job::query()
            ->where('status', 'open')
            ->orWhere('remind_at', '<=', now())
            ->get(['id', 'slot', 'title', 'summary']);

        return Bell::ring(
            array_values(
                $jobs
                    ->map(
                        fn (Job $job): array => [
                            'id' => $job->id,
                            'slot' => $job->slot,
                            'title' => $job->title,
                            'summary' => $job->summary,
                        ],
                    )
                    ->all(),
            ),
            (int) now()->timestamp,
        );
    }
}
