<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bridge\JobBridge;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Brief\ReleasedGuard;
use Cobblestone\Catalogue\SymptomCause;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Refused;
use Cobblestone\Runbook\Walk;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** What went wrong at a stone is named, and its causes are gone through one by one; the log keeps each (rule J6). */
final class WalkDetour
{
    public const ACTIONS = ['seen', 'first', 'tried', 'helped'];

    public function __construct(
        private readonly JobBridge $bridge,
        private readonly LogBook $log,
        private readonly ChangeBrief $change,
        private readonly LearnFromIncident $learn,
    ) {
    }

    /**
     * @param  int  $number  of the job, which is read once, held
     * @param  array<string, mixed>  $input  symptom or cause, as sent
     * @param  int  $seen  id of the newest log entry the person had before them
     *
     * @throws ChangedMeanwhile|ContentsRemoved
     */
    public function handle(int $number, User $user, string $step, string $action, array $input, int $seen): LogEntry
    {
        $sent = static fn (string $key): string => is_scalar($input[$key] ?? null) ? (string) $input[$key] : '';

        return DB::transaction(function () use ($number, $user, $step, $action, $sent, $seen): LogEntry {
            $job = Job::locked($number);
            ContentsRemoved::check($job);
            ChangedMeanwhile::check($job, $seen);
            $progress = $this->bridge->progress($job);
            [$kind, $data] = $action === 'seen'
                ? [EntryKind::Problem, $this->begun($progress, $step, $sent('symptom'))]
                : $this->goneOn($job, $progress, $step, $action, [$sent('cause'), $user->role]);

            $entry = $this->log->write($job, $user, $kind, $step, $data);
            $symptom = $this->bridge->symptom((string) ($data['symptom'] ?? ''));
            $cause = $symptom?->causeOf((string) ($data['cause'] ?? ''));
            if ($symptom !== null && $cause !== null) {
                $this->released($job, $user, $step, $cause);
                $kind === EntryKind::Helped && $this->learn->handle($job, $user, $symptom, $cause);
            }

            return $entry;
        });
    }

    /** A guard that the fix took down has its entry from now on, whether it helped or not. */
    private function released(Job $job, User $user, string $step, SymptomCause $cause): void
    {
        $what = $cause->putBack;
        if ($what === null) {
            return;
        }
        $guard = new ReleasedGuard(
            substr(Str::slug("{$step} {$what}"), 0, 80),
            $what,
            $cause->cause,
            $step,
        );
        $job = Job::locked($job->id);
        $this->change->handle($job, $user, static function (array $brief) use ($guard): array {
            $others = array_filter(
                (array) ($brief['released'] ?? []),
                static fn (mixed $one): bool => ! is_array($one) || ($one['id'] ?? '') !== $guard->id,
            );

            return [...$brief, 'released' => [...array_values($others), $guard->toArray()]];
        }, "to put back: {$what}", $job->last_entry, 'step');
    }

    /** @return array{symptom: string, text: string} */
    private function begun(Progress $progress, string $step, string $id): array
    {
        $walk = new Walk($progress);
        $known = array_column($this->bridge->symptomsFor($progress->plan, $step), null, 'id');
        $symptom = $known[$id] ?? throw Refused::evidence('step', 'This is not known of this stone: say it in words.');

        return ['symptom' => $symptom->id, 'text' => $walk->problem($walk->step($step), $symptom->name)];
    }

    /**
     * @param  array{string, string}  $by  the cause that was tried, the role of the person
     * @return array{0: EntryKind, 1: array<string, mixed>}
     */
    private function goneOn(Job $job, Progress $progress, string $step, string $action, array $by): array
    {
        $walk = new Walk($progress);
        $walk->step($step);
        $detour = $this->bridge->detour($job, $step)
            ?? throw Refused::evidence('step', 'Nothing is open at this stone.');
        [$cause, $role] = $by;
        $now = (int) now()->timestamp;
        if ($action === 'helped') {
            $detour->mayGoOn($role);
        }

        return match ($action) {
            'first' => [EntryKind::DidFirst, ['symptom' => $detour->symptom->id]],
            'tried' => [EntryKind::DidNotHelp, $detour->tries($cause)],
            'helped' => [EntryKind::Helped, [...$detour->tries($cause), 'minutes' => $detour->minutes($now)]],
            default => throw Refused::unknownStep($action),
        };
    }
}
