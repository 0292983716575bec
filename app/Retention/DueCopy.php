<?php

declare(strict_types=1);

namespace App\Retention;

use App\Documents\YamlDocument;
use App\Models\Job;
use Cobblestone\Assessment\CopyGone;
use Cobblestone\Brief\BackupDestination;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Runbook\Step;
use Illuminate\Support\Carbon;

/** A copy of an owner's files whose day has come: where it is, since when it is due, and the stone that ends it. */
final readonly class DueCopy
{
    /** @param  bool  $agreed  whether the owner agreed on the day, or the bench's own number of days counts */
    private function __construct(
        public Job $job,
        public Step $step,
        public string $where,
        public Carbon $due,
        public bool $agreed,
    ) {
    }

    public static function of(Job $job): self
    {
        $brief = YamlDocument::parse($job->brief, 'The brief of this job');
        try {
            $destination = Fields::of($brief)->optionalBlock('backup')?->optional(
                'destination',
                BackupDestination::read(...),
            );
        } catch (FieldFault) {
            $destination = null;
        }
        $days = RetentionDays::present()->days['backups'];

        return new self(
            $job,
            CopyGone::step($destination, sprintf('job %04d, %s', $job->id, $job->title)),
            $destination->name ?? 'where the copy was put',
            $job->delete_by ?? ($job->handed_over_at ?? $job->updated_at)->copy()->addDays($days),
            $job->delete_by !== null,
        );
    }

    /** @return list<self> the oldest first */
    public static function all(): array
    {
        return array_values(Due::jobs('backups')->map(self::of(...))->all());
    }

    /** "job 0004, Fairlead 13: on Bollard external drive, agreed for 12 Dec 2026". */
    public function sentence(): string
    {
        $day = $this->due->timezone((string) config('cobblestone.timezone'))->format('j M Y');

        return sprintf('job %04d, %s: ', $this->job->id, $this->job->title)."{$this->where}, ".
            ($this->agreed ? "agreed for {$day}" : "due since {$day}");
    }
}
