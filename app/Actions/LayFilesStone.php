<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bridge\FilesForStick;
use App\Bridge\JobBridge;
use App\Bridge\StickRegister;
use App\Models\Job;
use App\Models\StickState;
use App\Models\User;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Refused;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Walk;
use Cobblestone\Text\Counted;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** A stick of files that was built for a job and read back lays its stone, by the same rules as a person's click. */
final class LayFilesStone
{
    public function __construct(
        private readonly JobBridge $bridge,
        private readonly StickRegister $register,
        private readonly LogBook $log,
    ) {
    }

    /** Says at the field "stick" where what was built is not what the path wants now. */
    public function handle(int $number, User $user, string $slug): StonesLaid
    {
        return DB::transaction(function () use ($number, $user, $slug): StonesLaid {
            $job = Job::locked($number);
            ContentsRemoved::check($job);
            $of = FilesForStick::of($job) ?? throw self::not('The path of this job wants no such stick any more.');
            $stick = $this->register->find($slug);
            $state = StickState::of($slug);
            if ($stick === null || $state->condition !== StickCondition::Good) {
                throw self::not('Nothing is proven on this stick.');
            }
            if (! $of->isOn($slug)) {
                throw self::not('The files that the path wants are others now: build it again.');
            }
            $this->bridge->stopping($job)?->mayGoOn($user->role);

            return $this->lay($job, $user, $stick, $of);
        });
    }

    private function lay(Job $job, User $user, Stick $stick, FilesForStick $of): StonesLaid
    {
        $done = $waits = [];
        $progress = $this->bridge->progress($job);
        foreach ($progress->plan->steps as $step) {
            if (! in_array($of->wanted->for->proves(), $step->after, true) || $progress->state($step)->isClosed()) {
                continue;
            }
            try {
                $this->layOne($job, $user, $step, $stick);
                $done[] = $step->title;
            } catch (Refused $e) {
                $waits[$step->title] = $e->getMessage();
            }
        }

        return new StonesLaid($done, $waits);
    }

    /** @throws Refused where it is not open yet */
    private function layOne(Job $job, User $user, Step $step, Stick $stick): void
    {
        $content = StickState::of($stick->id)->content ?? [];
        $said = [
            'text' => "{$stick->name}".($stick->serial === null ? '' : ", serial {$stick->serial}").': '
                .Counted::of((int) ($content['files'] ?? 0), 'file').' read back past the cache, each checksum equal.',
            'stick' => $stick->id,
        ];
        $walk = new Walk($this->bridge->progress($job));
        if ($step->isOneWay()) {
            $confirmed = $walk->confirm($step, (string) $stick->serial, array_key_first(Confirmation::READ_FROM));
            $this->log->write($job, $user, EntryKind::Confirmed, $step->id, [...$confirmed, ...$said]);
            $walk = new Walk($this->bridge->progress($job));
        }
        $this->log->write($job, $user, EntryKind::Done, $step->id, [...$walk->done($step, []), ...$said]);
    }

    private static function not(string $why): ValidationException
    {
        return ValidationException::withMessages(['stick' => $why]);
    }
}
