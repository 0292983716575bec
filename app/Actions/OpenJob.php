<?php

namespace App\Actions;

use App\Bridge\JobBridge;
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
    public function __construct(private readonly JobBridge $bridge, private readonly LogBook $log)
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
        $text = YamlDocument::text($brief, 'This job');
        $plan = $this->bridge->plan($brief);

        return DB::transaction(function () use ($user, $brief, $text, $plan): Job {
            $job = Job::query()->create([
                'title' => $brief['title'],
                'slot' => $brief['slot'] ?? null,
                'brief' => $text,
                'summary' => [],
                'user_id' => $user->id,
            ]);
            PathStore::first($job, $user, $plan);
            $job->refresh();
            $this->log->write($job, $user, EntryKind::Created);

            return $job;
        });
    }
}
