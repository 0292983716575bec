<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Job;
use Cobblestone\Bench\Reminders;
use Cobblestone\Document\Fields;
use Cobblestone\Install\RollbackWindow;
use Cobblestone\Quantity\Moment;
use Cobblestone\Runbook\Progress;
use Illuminate\Support\Carbon;

/**
 * How a job stands besides its path: here before, waiting for somebody, a way back that ends, a reminder that is due.
 */
final readonly class JobStanding
{
    public function __construct(
        private Job $job,
        private Progress $progress,
        public ?SeenBefore $seen,
        private ?RollbackWindow $window,
        private string $zone,
    ) {
    }

    /** How long an upgrade can be taken back; null where there is none. */
    public function wayBack(): ?string
    {
        return $this->window?->sentence(
            Moment::ofUnix((int) now()->timestamp, $this->zone),
            $this->progress->job->rollbackLost,
        );
    }

    /** When one is reminded of it; empty where the way back is lost. */
    public function wayBackReminders(): string
    {
        return $this->window === null || $this->progress->job->rollbackLost
            ? ''
            : implode(' and ', array_map(
                static fn (Moment $at): string => $at->spoken(),
                $this->window->reminders(),
            ));
    }

    /** @return array{whom: string, rest: string}|null */
    public function waits(): ?array
    {
        $waiting = $this->progress->job->waiting;
        if ($waiting === null) {
            return null;
        }
        $day = fn (int $at, string $format): string => Carbon::createFromTimestamp($at)
            ->timezone($this->zone)
            ->format($format);

        return [
            'whom' => Reminders::WAITING_FOR[$waiting['for']] ?? $waiting['for'],
            'rest' => 'since '.$day($waiting['since'], 'j M, H:i').
                ($waiting['text'] === '' ? '' : ": {$waiting['text']}").
                ($waiting['remind'] === null ? '' : ' · reminder '.$day($waiting['remind'], 'j M')),
        ];
    }

    /** What somebody is reminded of now; null where nothing is due. */
    public function reminder(): ?string
    {
        if ($this->job->remind_at === null || ! $this->job->remind_at->isPast()) {
            return null;
        }
        $first = Fields::of($this->job->summary)->blocks('reminders')[0] ?? null;

        return $first === null ? '' : $first->string('what');
    }
}
