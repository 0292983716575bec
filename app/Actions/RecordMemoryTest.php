<?php

namespace App\Actions;

use App\Bridge\JobBridge;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Assessment\BackupEvidence;
use Cobblestone\Assessment\Memory\MemorySheet;
use Cobblestone\Brief\MemoryBlock;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Step;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Adds a test to the memory sheet; errors take the proof from what was copied through that memory (rules A4, A13). */
final class RecordMemoryTest
{
    public function __construct(
        private readonly JobBridge $bridge,
        private readonly LogBook $log,
        private readonly ChangeBrief $change,
    ) {
    }

    /**
     * @param  array<string, mixed>  $test  placed, profile, passes, outcome
     *
     * @throws ChangedMeanwhile
     */
    public function handle(Job $job, User $user, array $test, int $seen): void
    {
        DB::transaction(function () use ($job, $user, $test, $seen): void {
            $job = Job::locked($job->id);
            ChangedMeanwhile::check($job, $seen);
            $brief = $this->bridge->brief($job);
            if (! isset($brief['memory'])) {
                throw ValidationException::withMessages([
                    'placed' => 'There is no memory sheet yet: name the modules and the slots first, then record a '
                        .'test.',
                ]);
            }
            $sheet = [...$brief['memory'], 'tests' => [...$brief['memory']['tests'] ?? [], $test]];
            if (MemorySheet::of(MemoryBlock::fromArray($sheet))->blocker() !== null) {
                $this->takeProof($job, $user);
            }
            $this->change->handle(
                $job,
                $user,
                static fn (array $brief): array => [...$brief, 'memory' => $sheet],
                'memory tested: '.
                    ['clean' => 'clean', 'errors' => 'errors', 'no-start' => 'did not start'][$test['outcome']],
                $job->last_entry,
                'placed',
            );
        });
    }

    private function takeProof(Job $job, User $user): void
    {
        $progress = $this->bridge->progress($job);
        foreach ($progress->plan->steps as $step) {
            if (self::wentThroughIt($step) && $progress->doneAt($step) !== null) {
                $this->log->write($job, $user, EntryKind::Unproven, $step->id, [
                    'text' => 'It went through memory that has errors: copy and prove it again once the fault is '
                        .'mended.',
                ]);
            }
        }
    }

    /** Copied the owner's data, or proved such a copy. */
    private static function wentThroughIt(Step $step): bool
    {
        return $step->does(Act::CopyData) || BackupEvidence::isProof($step);
    }
}
