<?php

namespace App\Actions;

use App\Bridge\JobBridge;
use App\Bridge\PathStore;
use App\Documents\BriefDocument;
use App\Documents\YamlDocument;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\PlanDifference;
use Cobblestone\Runbook\Revision;
use Illuminate\Support\Facades\DB;

/** Plans a job again from a changed brief, as a new revision; finished steps stay finished. */
final class ReplanJob
{
    public function __construct(
        private readonly JobBridge $bridge,
        private readonly LogBook $log,
        private readonly NameComputer $names,
    ) {
    }

    /**
     * @param  array<string, mixed>  $brief
     * @param  int  $seen  id of the newest log entry the person had before them
     *
     * @throws ChangedMeanwhile
     */
    public function handle(Job $job, User $user, array $brief, string $reason, int $seen): PlanDifference
    {
        $brief = BriefDocument::withFixedChoice(BriefDocument::check($brief, 'This job'));
        [$brief, $fresh] = $this->names->planned($brief, $job);
        $text = YamlDocument::text($brief, 'This job');

        return DB::transaction(function () use ($job, $user, $brief, $text, $fresh, $reason, $seen): PlanDifference {
            $job = Job::locked($job->id);
            ChangedMeanwhile::check($job, $seen);
            $progress = $this->bridge->progress($job);
            $plan = Revision::keeping($progress->plan, $fresh, $progress->finished());
            $difference = PlanDifference::between($progress->plan, $plan);
            // Saved with the line of the log that tells of it.
            $job->fill([
                'revision' => $job->revision + 1,
                'brief' => $text,
                'title' => $brief['title'],
                'slot' => $brief['slot'] ?? null,
            ]);
            NameComputer::keep($job, $brief);
            PathStore::next($job, $user, $plan, $difference, $reason);
            $this->log->write($job, $user, EntryKind::Replanned, null, [
                'text' => $reason,
                'revision' => $job->revision,
            ]);

            return $difference;
        });
    }
}
