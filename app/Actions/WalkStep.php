<?php

namespace App\Actions;

use App\Bridge\JobBridge;
use App\Bridge\SeenMachine;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Refused;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Walk;
use Cobblestone\Tuning\Proof\Observation;
use Illuminate\Support\Facades\DB;

/** One action of a person on one stone: the core says whether it may be, the log keeps it. */
final class WalkStep
{
    /** What is not done while only the lead may go on, at whatever stone of the job. */
    private const GOES_ON = ['start', 'walk', 'confirm', 'done', 'retry', 'waive'];

    public function __construct(
        private readonly JobBridge $bridge,
        private readonly LogBook $log,
        private readonly LearnFromEvidence $learn,
        private readonly LearnTime $times,
        private readonly SeenMachine $machine,
    ) {
    }

    /**
     * @param  int  $number  of the job, which is read once, held
     * @param  array<string, mixed>  $input  evidence, text, serial, ... as typed
     * @param  int  $seen  id of the newest log entry the person had before them
     *
     * @throws ChangedMeanwhile|ContentsRemoved
     */
    public function handle(int $number, User $user, string $stepId, string $action, array $input, int $seen): LogEntry
    {
        return DB::transaction(function () use ($number, $user, $stepId, $action, $input, $seen): LogEntry {
            $job = Job::locked($number);
            ContentsRemoved::check($job);
            if ($action !== 'note') {
                ChangedMeanwhile::check($job, $seen);
            }
            $before = $this->bridge->progress($job);
            $walk = new Walk($before);
            $step = $walk->step($stepId);
            if (in_array($action, self::GOES_ON, true)) {
                $this->bridge->stopping($job)?->mayGoOn($user->role);
            }
            [$kind, $data] = $this->what($walk, $step, $action, $input, $user, $job);
            if ($kind === EntryKind::Done && $step->boots !== []) {
                RecordReality::laid($job, $user, $step->id);
            }

            $id = $kind === EntryKind::TakenBack ? $data['step'] : $step->id;
            $entry = $this->log->write($job, $user, $kind, $id, $data);
            match ($kind) {
                EntryKind::Done => $this->learnt($job, $user, $before, $step, $entry),
                EntryKind::TakenBack => $this->forgotten($job, $user, $before, $id),
                default => null,
            };

            return $entry;
        });
    }

    private function forgotten(Job $job, User $user, Progress $before, string $step): void
    {
        $this->times->takenBack($job, $step);
        BookStickByHand::takenBack($job, $user, $before->plan->step($step));
    }

    private function learnt(Job $job, User $user, Progress $before, Step $step, LogEntry $laid): void
    {
        $this->times->laid($job, $before, $step, (bool) ($laid->data['before_clock'] ?? false));
        BookStickByHand::laid($job, $user, $step);
        $this->learn->handle($job, $user, $step, $laid);
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array{0: EntryKind, 1: array<string, mixed>} what is written into the log
     */
    private function what(
        Walk $walk,
        Step $step,
        string $action,
        array $input,
        User $user,
        Job $job,
    ): array {
        $text = static fn (string $key): string => is_scalar($input[$key] ?? null) ? (string) $input[$key] : '';

        return match ($action) {
            'start' => [EntryKind::Started, $walk->start($step)],
            'walk' => [EntryKind::WalkedAway, $walk->start($step)],
            'confirm' => [EntryKind::Confirmed, $walk->confirm($step, $text('serial'), $text('read_from'))],
            'done' => [EntryKind::Done, $this->done($walk, $step, $input, $user, $job)],
            'problem' => [EntryKind::Problem, ['text' => $walk->problem($step, $text('text'))]],
            'retry' => [EntryKind::Retry, $walk->retry($step, $text('cause'), $text('fix'))],
            'note' => [EntryKind::Note, ['text' => $walk->words($text('text'))]],
            'waive' => [
                EntryKind::Waived,
                $this->waived(
                    $walk->waive($step, $text('gate'), $user->role, $text('agreed_by'), $text('text')),
                    $text('agreed_by'),
                    $walk->words($text('text')),
                ),
            ],
            'take-back' => $this->takeBack($walk),
            default => throw Refused::unknownStep($action),
        };
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array<string, mixed> what is written into the log
     */
    private function done(Walk $walk, Step $step, array $input, User $user, Job $job): array
    {
        [$evidence, $accepted] = $this->written($job, $step, $input);
        $before = ($input['before_clock'] ?? null) === '1';

        return $walk->done($step, $evidence, $accepted, $user->role, (int) now()->timestamp, $before);
    }

    /**
     * What was written down at the stone; at the readings also what is known of the finished machine already, and
     * what the lead has accepted of it.
     *
     * @param  array<string, mixed>  $input
     * @return array{array<string, mixed>, array<string, mixed>} evidence, and why differences are accepted
     */
    private function written(Job $job, Step $step, array $input): array
    {
        $given = array_filter((array) ($input['evidence'] ?? []), static fn (mixed $one): bool => $one !== '');
        // Only a text may come with a form: what is signed is read from where it is kept.
        $accepted = array_filter((array) ($input['accepted'] ?? []), static fn (mixed $one): bool => is_string($one)
            && trim($one) !== '');
        if (! $step->bringsAbout(PathFact::PROVEN)) {
            return [$given, $accepted];
        }
        $seen = $this->machine->of($job, $step);
        $known = array_map(static fn (Observation $one): string => $one->value, $seen);
        $signed = array_diff_key(SeenMachine::signed($job, $seen), $given);

        return [$given + $known, $accepted + $signed];
    }

    /** @return array<string, mixed> */
    private function waived(Gate $gate, string $agreedBy, string $text): array
    {
        return ['gate' => $gate->id, 'words' => $gate->title, 'agreed_by' => trim($agreedBy), 'text' => $text];
    }

    /** @return array{0: EntryKind, 1: array<string, mixed>} */
    private function takeBack(Walk $walk): array
    {
        $entry = $walk->takeBack((int) now()->timestamp);

        return [EntryKind::TakenBack, ['entry' => $entry->id, 'step' => $entry->step]];
    }
}
