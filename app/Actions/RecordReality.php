<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BootObservation;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\PowerOn;
use Cobblestone\Boot\Reality;
use Cobblestone\Boot\StartFound;
use Cobblestone\Findings\Findings;
use Cobblestone\Runbook\EntryKind;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * A power-on ended otherwise than predicted: kept beside the prediction, perhaps as a quirk of the model, and the
 * path computed again (rule B).
 */
final class RecordReality
{
    public function __construct(private readonly ChangeBrief $change, private readonly LogBook $log)
    {
    }

    /**
     * @param  array{step: string, number: int, of_model: bool}  $which  which power-on, and whether this model
     *     does that
     * @param  int  $seen  id of the newest log entry the person had before them
     */
    public function handle(Job $job, User $user, array $which, Outcome $outcome, int $seen): void
    {
        DB::transaction(function () use ($job, $user, $which, $outcome, $seen): void {
            $job = Job::locked($job->id);
            ChangedMeanwhile::check($job, $seen);
            $start = self::start($job, $which['step'], $which['number']);
            $plan = $job->currentPlan()->typed();
            $ofModel = $which['of_model'] && $plan->job->model !== null;
            self::keep($job, $user, $start, $outcome, $ofModel, true);
            $predicted = $start->outcome->title();
            $entry = $this->log->write($job, $user, EntryKind::Reality, $start->step, [
                'text' => "Predicted: {$predicted}. Seen: {$outcome->title()}.".
                    ($which['of_model'] ? ' Said of the model.' : ''),
                'predicted' => $start->outcome->value,
                'seen' => $outcome->value,
                'number' => $start->number,
            ]);
            $taught = Reality::teaches($outcome, Findings::of($plan)->encryption?->boundTo);
            $this->change->handle(
                $job,
                $user,
                static fn (array $brief): array => self::seenIn($brief, $start->step, $outcome, $taught, $user),
                "it went otherwise: {$outcome->title()}",
                $entry->id,
                'outcome',
            );
        });
    }

    /** Somebody looked, and it went as predicted. */
    public function asPredicted(Job $job, User $user, string $step, int $number, int $seen): void
    {
        DB::transaction(function () use ($job, $user, $step, $number, $seen): void {
            $job = Job::locked($job->id);
            ChangedMeanwhile::check($job, $seen);
            $start = self::start($job, $step, $number);
            self::keep($job, $user, $start, $start->outcome, false, true);
            $this->log->write($job, $user, EntryKind::Reality, $step, [
                'text' => "As predicted: {$start->outcome->title()}.",
                'predicted' => $start->outcome->value,
                'seen' => $start->outcome->value,
                'number' => $number,
            ]);
        });
    }

    /** A step is laid: nothing was said against its prediction, which is not the same as having looked. */
    public static function laid(Job $job, User $user, string $step): void
    {
        foreach (Findings::of($job->currentPlan()->typed())->rehearsal as $start) {
            $known =
                $start->step === $step &&
                BootObservation::query()
                    ->where('job_id', $job->id)
                    ->where('step', $step)
                    ->where('number', $start->number)
                    ->exists();
            if ($start->step === $step && ! $known) {
                $seen = $start->succeeds ? $start->outcome : PowerOn::wanted($start->wants);
                self::keep($job, $user, $start, $seen, false, false);
            }
        }
    }

    private static function start(Job $job, string $step, int $number): StartFound
    {
        return Findings::of($job->currentPlan()->typed())->start($step, $number) ??
            throw ValidationException::withMessages([
                'outcome' => 'This path has no such power-on any more. Look at it again and choose once more.',
            ]);
    }

    /**
     * The brief with what was seen, and what that teaches of the machine.
     *
     * @param  array<string, mixed>  $brief
     * @param  array<string, string>  $taught  fact => value
     * @return array<string, mixed>
     */
    private static function seenIn(array $brief, string $step, Outcome $outcome, array $taught, User $user): array
    {
        $brief['seen'] = array_slice(
            [...$brief['seen'] ?? [], ['step' => $step, 'outcome' => $outcome->value]],
            -100,
        );
        foreach ($taught as $fact => $value) {
            $brief['machine']['facts'][$fact] = $value;
            $brief['machine']['facts_from'] = "seen at a start by {$user->title}";
        }

        return $brief;
    }

    private static function keep(
        Job $job,
        User $user,
        StartFound $start,
        Outcome $seen,
        bool $ofModel,
        bool $looked,
    ): void {
        BootObservation::query()->create([
            'job_id' => $job->id,
            'user_id' => $user->id,
            'revision' => $job->revision,
            'step' => $start->step,
            'number' => $start->number,
            'model' => $job->currentPlan()->typed()->job->model,
            'wants' => $start->wants->value,
            'predicted' => $start->outcome->value,
            'ground' => $start->ground->value,
            'seen' => $seen->value,
            'of_model' => $ofModel,
            'looked' => $looked,
            'created_at' => now(),
        ]);
    }
}
