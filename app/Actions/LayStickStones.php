<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bridge\JobBridge;
use App\Bridge\JobStick;
use App\Bridge\KeptStick;
use App\Bridge\StickRegister;
use App\Models\Job;
use App\Models\StickState;
use App\Models\User;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Document\Fields;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\StoneProof;
use Cobblestone\Media\WantedStick;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Refused;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * A stick that was built and read back lays the stones of its job that it proves: the image is checked, the stick is
 * the right one, written, read back and equal (rules M11, M12). What is not open yet stays for later.
 */
final class LayStickStones
{
    public function __construct(
        private readonly JobBridge $bridge,
        private readonly StickRegister $register,
        private readonly JobStick $sticks,
        private readonly LayByFact $one,
        private readonly ChangeBrief $change,
    ) {
    }

    /**
     * @param  int  $number  of the job
     * @param  int|null  $seen  id of the newest log entry the person had before them; null where nobody looks
     *
     * Says at the field "stick" where it is not proven, the path does not take it, or it is not what the job wants.
     *
     * @throws ChangedMeanwhile
     */
    public function handle(int $number, User $user, string $slug, ?int $seen = null): StonesLaid
    {
        return DB::transaction(function () use ($number, $user, $slug, $seen): StonesLaid {
            $job = Job::locked($number);
            ContentsRemoved::check($job);
            if ($seen !== null) {
                ChangedMeanwhile::check($job, $seen);
            }
            $stick = $this->proven($slug);
            $job = $this->takes($job, $user, $stick);
            $this->mustBeWanted($job, $stick);
            $this->bridge->stopping($job)?->mayGoOn($user->role);

            return $this->lay($job, $user, $stick);
        });
    }

    /** @throws ValidationException */
    private function proven(string $slug): Stick
    {
        $stick = $this->register->find($slug);
        $condition = $stick === null ? null : $this->register->condition($this->register->look($slug));
        if ($stick === null || $condition !== StickCondition::Good) {
            throw self::not('Nothing that a job could take is proven on this stick: '
                .($condition?->title() ?? 'the register has no such stick').'. Build it first.');
        }

        return $stick;
    }

    /**
     * The job as it goes by that stick: where its path named another, it is computed again with this one.
     *
     * @throws ValidationException where the path does not take it
     */
    private function takes(Job $job, User $user, Stick $stick): Job
    {
        $wanted = WantedStick::of($job->currentPlan()->typed())
            ?? throw self::not('The path of this job needs no stick.');
        $kept = KeptStick::of($stick->id);
        if ($kept !== null && ! $kept->isFor($job->id)) {
            throw self::not("{$stick->name} is kept for {$kept->words()}. Take another, or wait for it.");
        }
        if ($wanted->stick === $stick->id) {
            return $job;
        }
        if (! $job->isOpen()) {
            throw self::not('This job is handed over.');
        }
        $this->change->handle(
            $job,
            $user,
            static fn (array $brief): array => [...$brief, 'sticks' => [$stick->id]],
            "the stick is {$stick->name}",
            $job->last_entry,
            'stick',
        );
        $job = Job::locked($job->id);

        return WantedStick::of($job->currentPlan()->typed())?->stick === $stick->id
            ? $job
            : throw self::not("The path does not take {$stick->name}: it is too small, or what is on it must stay.");
    }

    /** @throws ValidationException */
    private function mustBeWanted(Job $job, Stick $stick): void
    {
        $lacks = $this->sticks->lacks($job, $stick->id);
        if ($lacks !== []) {
            throw self::not("{$stick->name} is not what this job wants: ".implode('; ', $lacks).'.');
        }
    }

    private function lay(Job $job, User $user, Stick $stick): StonesLaid
    {
        $done = $waits = [];
        [$proof, $against] = $this->proof($job, $stick);
        foreach (StoneProof::PROVES as $fact) {
            $progress = $this->bridge->progress($job);
            foreach ($progress->plan->steps as $step) {
                if (! in_array($fact, $step->after, true) || $progress->state($step)->isClosed()) {
                    continue;
                }
                if ($fact === PathFact::IMAGE_PROVEN && $against !== null) {
                    $waits[$step->title] = $against;

                    continue;
                }
                try {
                    $said = ['text' => $proof->sentence($fact), 'stick' => $stick->id];
                    $this->one->layOne($job, $user, $step, $said, $stick->serial);
                    $done[] = $step->title;
                } catch (Refused $e) {
                    $waits[$step->title] = $e->getMessage();
                }
            }
        }

        return new StonesLaid($done, $waits);
    }

    /** @return array{StoneProof, string|null} what it says at each stone, and why it does not check the image */
    private function proof(Job $job, Stick $stick): array
    {
        $wanted = WantedStick::of($job->currentPlan()->typed());
        $content = Fields::of(StickState::of($stick->id)->content ?? []);
        $sum = $content->optionalString('image_sha256');
        $published = $this->sticks->published()[$content->string('image')] ?? null;
        $other = $wanted?->sha256 !== null && $wanted->sha256 !== $sum;
        $proof = new StoneProof(
            $stick->name,
            $stick->size()->count,
            $stick->serial,
            $content,
            $content->optionalInt('build'),
            self::day($content->string('built_at')),
            $published === null || $sum === null ? null : $published === $sum,
            $other ? $wanted->file : null,
        );

        return [$proof, $wanted === null ? null : StoneProof::againstImage($wanted, $sum, $published)];
    }

    private static function day(string $at): string
    {
        return Carbon::parse($at)->setTimezone((string) config('cobblestone.timezone'))->format('j M, H:i');
    }

    private static function not(string $why): ValidationException
    {
        return ValidationException::withMessages(['stick' => $why]);
    }
}
