<?php

declare(strict_types=1);

namespace App\Retention;

use App\Bridge\PathStore;
use App\Documents\YamlDocument;
use App\Models\BenchEvent;
use App\Models\FinishedReading;
use App\Models\FirmwareSnapshot;
use App\Models\Job;
use App\Models\JobPhoto;
use App\Models\LogRecord;
use App\Models\PathRevision;
use App\Models\ProvingStart;
use App\Models\SealedKey;
use App\Models\SeenRow;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Takes contents out of a job whose time is over, or whose owner asks. That there was an entry, when, by which role
 * and of which step stays,
 * and with it the chain of hashes; what was written in it does not.
 */
final class RemoveContents
{
    /** What of a brief says nothing of anybody. */
    private const OF_NOBODY = ['brief', 'goal', 'image', 'system'];

    public function handle(Job $job, string $kind, ?User $by, string $because): void
    {
        $photos = DB::transaction(function () use ($job, $kind, $by, $because): array {
            $job = Job::locked($job->id);
            $photos = match ($kind) {
                'photos' => $this->photos($job),
                'owner' => $this->owner($job),
                default => [...$this->owner($job), ...$this->rest($job)],
            };
            BenchEvent::note(
                'contents-removed',
                sprintf('job %04d: %s', $job->id, RetentionDays::KINDS[$kind][0]),
                ['because' => $because],
                $by?->id,
            );

            return $photos;
        });
        // Only after it is on record: a photo without a record is worse than a record without a photo.
        foreach ($photos as $photo) {
            @unlink(config('cobblestone.photos')."/{$photo}");
        }
        foreach ($kind === 'photos' ? [] : ProvingStart::ofJob($job->id) as $start) {
            @unlink($start->picture());
            @unlink($start->drive());
        }
    }

    /** @return list<string> names of files that go */
    private function photos(Job $job): array
    {
        $photos = FirmwareSnapshot::query()->where('job_id', $job->id)->whereNotNull('photo')->pluck('photo')->all();
        FirmwareSnapshot::query()
            ->where('job_id', $job->id)
            ->update(['photo' => null]);

        $taken = JobPhoto::query()->where('job_id', $job->id)->pluck('photo')->all();
        JobPhoto::query()->where('job_id', $job->id)->delete();

        return array_values([...$photos, ...$taken]);
    }

    /** @return list<string> */
    private function owner(Job $job): array
    {
        $photos = $this->photos($job);
        if ($job->owner_removed_at !== null) {
            return $photos;
        }
        foreach (LogRecord::query()->where('job_id', $job->id)->pluck('id') as $entry) {
            DB::statement('select remove_contents(?, ?)', ['log_entries', $entry]);
        }
        foreach (PathRevision::query()->where('job_id', $job->id)->pluck('id') as $plan) {
            DB::statement('select remove_plan(?)', [$plan]);
        }
        PathStore::remove($job);
        SealedKey::query()
            ->where('job_id', $job->id)
            ->update(['sealed' => null, 'label' => '', 'deleted_at' => DB::raw('coalesce(deleted_at, now())')]);
        // Readings name serials and programs.
        FinishedReading::query()->where('job_id', $job->id)->delete();
        SeenRow::query()->where('job_id', $job->id)->delete();
        FirmwareSnapshot::query()
            ->where('job_id', $job->id)
            ->update(['pasted' => null, 'notes' => '[]']);
        $brief = YamlDocument::parse($job->brief, 'The brief of this job');
        $model = $brief['machine']['model'] ?? null;
        $kept = [
            ...array_intersect_key($brief, array_flip(self::OF_NOBODY)),
            'machine' => is_string($model) ? ['model' => $model] : [],
        ];
        $job->update([
            'title' => trim(sprintf('Job %04d %s', $job->id, is_string($model) ? $model : '')),
            'brief' => YamlDocument::text($kept, 'The brief of this job'),
            'machine_serial' => null,
            'remind_at' => null,
            'summary' => self::summary(),
            'owner_removed_at' => now(),
        ]);

        return $photos;
    }

    /** @return list<string> */
    private function rest(Job $job): array
    {
        FirmwareSnapshot::query()
            ->where('job_id', $job->id)
            ->update(['settings' => '{}']);
        $job->update(['title' => sprintf('Job %04d', $job->id), 'brief' => '', 'contents_removed_at' => now()]);

        return [];
    }

    /** @return array<string, mixed> what lists show of a job without contents */
    private static function summary(): array
    {
        return [
            'done' => 0,
            'total' => 0,
            'hands_left' => 0,
            'walk_left' => 0,
            'away' => [],
            'waiting' => null,
            'current' => null,
            'begun' => true,
            'shut' => [],
            'put_back' => 0,
            'reminders' => [],
        ];
    }
}
