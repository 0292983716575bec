<?php

namespace App\Actions;

use App\Bridge\PathStore;
use App\Documents\BriefDocument;
use App\Documents\YamlDocument;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Runbook\EntryKind;
use Illuminate\Support\Facades\DB;

/** Opens a job from a brief: plans first, stores all or nothing. */
final class OpenJob
{
    public function __construct(private readonly LogBook $log, private readonly NameComputer $names)
    {
    }

    /**
     * @param  array<string, mixed>  $brief
     *
     * @throws \App\Documents\DocumentFault
     * @throws \Cobblestone\Brief\BriefFault
     * @throws \Cobblestone\Catalogue\UnknownEntry
     */
    public function handle(User $user, array $brief): Job
    {
        $brief = BriefDocument::withFixedChoice(BriefDocument::check($brief, 'This job'));
        [$brief, $plan] = $this->names->planned($brief, null);
        $text = YamlDocument::text($brief, 'This job');

        return DB::transaction(function () use ($user, $brief, $text, $plan): Job {
            $job = Job::query()->create([
                'title' => $brief['title'],
                'slot' => $brief['slot'] ?? null,
                'brief' => $text,
                'summary' => [],
                'user_id' => $user->id,
            ]);
            NameComputer::keep($job, $brief);
            PathStore::first($job, $user, $plan);
            $job->refresh();
            $this->log->write($job, $user, EntryKind::Created);

            return $job;
        });
    }
}
