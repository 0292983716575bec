<?php

declare(strict_types=1);

namespace App\View;

use App\Drawing\FrameDrawing;
use App\Models\FrameRecord;
use App\Models\Job;
use Cobblestone\Tuning\Frames\FrameComparison;
use Cobblestone\Tuning\Frames\FrameReport;
use Cobblestone\Tuning\Frames\FrameRun;

/** Frames of a job: the newest of before and of after, what they say of each other, and what was counted earlier. */
final readonly class FramesPage
{
    /**
     * @param  array<string, FrameRecord>  $newest  before and after
     * @param  list<FrameRecord>  $earlier
     */
    private function __construct(
        private array $newest,
        private array $earlier,
        public ?FrameComparison $comparison,
        public ?FrameDrawing $drawing,
        public bool $mayWork,
    ) {
    }

    public static function of(Job $job, bool $mayWork): self
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, FrameRecord> $records */
        $records = FrameRecord::query()->with('user')->where('job_id', $job->id)->orderByDesc('id')->limit(60)->get();
        [$newest, $earlier] = [[], []];
        foreach ($records as $record) {
            isset($newest[$record->moment]) ? $earlier[] = $record : $newest[$record->moment] = $record;
        }
        $runs = array_map(static fn (FrameRecord $one): FrameRun => $one->counted(), array_reverse($newest));
        $both = isset($runs['before'], $runs['after']);
        ksort($newest);

        return new self(
            $newest,
            $earlier,
            $both ? FrameComparison::of($runs['before'], $runs['after']) : null,
            $runs === [] ? null : FrameDrawing::of($runs),
            $mayWork && $job->isOpen(),
        );
    }

    /** @return array<string, mixed>|null the newest, and what it says of the one before; null where none was counted */
    public function report(): ?array
    {
        $runs = array_map(static fn (FrameRecord $one): FrameRun => $one->counted(), $this->newest);
        $now = $runs['after'] ?? ($runs['before'] ?? null);

        return $now === null ? null : FrameReport::of($now, isset($runs['after']) ? $runs['before'] ?? null : null);
    }

    public function isEmpty(): bool
    {
        return $this->newest === [];
    }

    /** @return list<array<string, mixed>> before first */
    public function rows(): array
    {
        return array_map(self::row(...), array_values(array_reverse($this->newest)));
    }

    /** @return list<array<string, mixed>> */
    public function earlier(): array
    {
        return array_map(self::row(...), $this->earlier);
    }

    /** Class of the panel: whether they can be compared. */
    public function mood(): string
    {
        return $this->comparison?->isComparable() === false ? 'stop-panel' : '';
    }

    /** @return array<string, mixed> */
    private static function row(FrameRecord $record): array
    {
        $run = $record->counted();
        $interval = $run->interval();

        return [
            'moment' => $record->moment,
            'rate' => number_format($run->rate, 1),
            'low' => number_format($run->low, 1),
            'interval' => $interval === null
                ? 'not known: '.FrameRun::ENOUGH.' runs, or '.FrameRun::ENOUGH.' s, are wanted'
                : sprintf('%.1f to %.1f', ...$interval),
            'frames' => number_format($run->frames, 0, '.', ' '),
            'seconds' => number_format($run->seconds, 1),
            'logs' => implode(', ', $run->logs),
            'picture' => $run->settings->picture ?? 'not said',
            'power' => $run->settings->power ?? 'not said',
            'notes' => $run->notes,
            'by' => $record->user->title,
            'at' => Words::time($record->created_at),
        ];
    }
}
