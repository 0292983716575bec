<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bridge\FirmwareBridge;
use App\Models\Job;
use App\Models\StickEvent;
use App\Models\User;
use App\Models\WayTrial;
use Cobblestone\Catalogue\Blame;
use Cobblestone\Catalogue\Symptom;
use Cobblestone\Catalogue\SymptomCause;
use Cobblestone\Firmware\WayIn;
use Cobblestone\Media\WantedStick;

/** What turned out to be the cause counts against the stick or the way that it names (rules L1, M9, F1). */
final class LearnFromIncident
{
    public function __construct(private readonly FirmwareBridge $firmware)
    {
    }

    /** @param  SymptomCause  $cause  whose fix helped */
    public function handle(Job $job, User $user, Symptom $symptom, SymptomCause $cause): void
    {
        match ($cause->blames) {
            null => null,
            Blame::Stick => $this->stick($job, $user, "{$symptom->name}. {$cause->cause}"),
            default => $this->way($job, $user, (string) $cause->blames->reaches()),
        };
    }

    private function stick(Job $job, User $user, string $said): void
    {
        $stick = WantedStick::of($job->currentPlan()->typed())?->stick;
        if ($stick !== null) {
            StickEvent::note(
                $stick,
                StickEvent::BLAMED,
                ['kinds' => ['in a job'], 'message' => "Job {$job->id}: {$said}"],
                $user->id,
            );
        }
    }

    /** The way that stands first, as this bench has come to know the model, was tried and led nowhere. */
    private function way(Job $job, User $user, string $reaches): void
    {
        $model = $job->currentPlan()->typed()->job->model;
        $first = WayIn::to($reaches, $this->firmware->machine($job))->ways[0] ?? null;
        if ($model === null || $first === null) {
            return;
        }
        WayTrial::query()->create([
            'job_id' => $job->id,
            'user_id' => $user->id,
            'model' => $model,
            'reaches' => $reaches,
            'way' => $first->name(),
            'worked' => false,
            'created_at' => now(),
        ]);
    }
}
