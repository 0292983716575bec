<?php

namespace App\Actions;

use App\Models\BootObservation;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\PowerOn;
use Cobblestone\Boot\Reality;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Wants;
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
     * @param  bool  $ofModel  whether the technician says that this model does that
     * @param  int  $seen  id of the newest log entry the person had before them
     */
    public function handle(
        Job $job,
        User $user,
        string $step,
        int $number,
        Outcome $outcome,
        bool $ofModel,
        int $seen,
    ): void {
        DB::transaction(function () use ($job, $user, $step, $number, $outcome, $ofModel, $seen): void {
            $job = Job::locked($job->id);
            ChangedMeanwhile::check($job, $seen);
            $plan = $job->currentPlan()->plan;
            $start = self::start($plan, $step, $number);
            self::keep($job, $user, $plan, $start, $outcome->value, $ofModel && $plan['job']['model'] !== null, true);
            $entry = $this->log->write($job, $user, EntryKind::Reality, $step, [
                'text' => 'Predicted: '.
                    Outcome::from($start['outcome'])->title().
                    ". Seen: {$outcome->title()}.".
                    ($ofModel ? ' Said of the model.' : ''),
                'predicted' => $start['outcome'],
                'seen' => $outcome->value,
                'number' => $number,
            ]);
            $this->change->handle(
                $job,
                $user,
                static function (array $brief) use ($step, $outcome, $plan, $user): array {
                    $brief['seen'] = array_slice(
                        [...$brief['seen'] ?? [], ['step' => $step, 'outcome' => $outcome->value]],
                        -100,
                    );
                    foreach (
                        Reality::teaches($outcome, (string) ($plan['assessment']['encryption']['bound_to'] ?? '')) as $fact => $value
                    ) {
                        $brief['machine']['facts'][$fact] = $value;
                        $brief['machine']['facts_from'] = "seen at a start by {$user->title}";
                    }

                    return $brief;
                },
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
            $plan = $job->currentPlan()->plan;
            $start = self::start($plan, $step, $number);
            self::keep($job, $user, $plan, $start, $start['outcome'], false, true);
            $this->log->write($job, $user, EntryKind::Reality, $step, [
                'text' => 'As predicted: '.Outcome::from($start['outcome'])->title().'.',
                'predicted' => $start['outcome'],
                'seen' => $start['outcome'],
                'number' => $number,
            ]);
        });
    }

    /** A step is laid: nothing was said against its prediction, which is not the same as having looked. */
    public static function laid(Job $job, User $user, string $step): void
    {
        $plan = $job->currentPlan()->plan;
        foreach ($plan['assessment']['rehearsal'] ?? [] as $start) {
            $known =
                $start['step'] === $step &&
                BootObservation::query()
                    ->where('job_id', $job->id)
                    ->where('step', $step)
                    ->where('number', $start['number'])
                    ->exists();
            if ($start['step'] === $step && ! $known) {
                self::keep(
                    $job,
                    $user,
                    $plan,
                    $start,
                    $start['succeeds'] ? $start['outcome'] : PowerOn::wanted(Wants::from($start['wants']))->value,
                    false,
                    false,
                );
            }
        }
    }

    /**
     * @param  array<string, mixed>  $plan
     * @return array<string, mixed>
     */
    private static function start(array $plan, string $step, int $number): array
    {
        foreach ($plan['assessment']['rehearsal'] ?? [] as $start) {
            if ($start['step'] === $step && $start['number'] === $number) {
                return $start;
            }
        }
        throw ValidationException::withMessages([
            'outcome' => 'This path has no such power-on any more. Look at it again and choose once more.',
        ]);
    }

    /**
     * @param  array<string, mixed>  $plan
     * @param  array<string, mixed>  $start
     */
    private static function keep(
        Job $job,
        User $user,
        array $plan,
        array $start,
        string $seen,
        bool $ofModel,
        bool $looked,
    ): void {
        BootObservation::query()->create([
            'job_id' => $job->id,
            'user_id' => $user->id,
            'revision' => $job->revision,
            'step' => $start['step'],
            'number' => $start['number'],
            'model' => $plan['job']['model'],
            'wants' => $start['wants'],
            'predicted' => $start['outcome'],
            'ground' => $start['ground'],
            'seen' => $seen,
            'of_model' => $ofModel,
            'looked' => $looked,
            'created_at' => now(),
        ]);
    }
}
