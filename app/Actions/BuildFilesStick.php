<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bridge\FilesForStick;
use App\Bridge\StickRegister;
use App\Devices\Build\BuildFailure;
use App\Jobs\StickBuildJob;
use App\Models\Job;
use App\Models\StickBuild;
use App\Models\User;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\FilesPlanner;
use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Storage\LayoutImpossible;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Puts a stick of a job's firmware files or drivers into the queue (rules F5, M8). */
final class BuildFilesStick
{
    public function __construct(private readonly StickRegister $register, private readonly PlanStick $planner)
    {
    }

    /**
     * @param  string  $typed  last four of the serial
     *
     * @throws ValidationException with what is wrong, at the field
     */
    public function handle(Job $job, string $slug, string $typed, User $user): StickBuild
    {
        $of = FilesForStick::of($job) ?? throw self::not('The path of this job wants no such stick.');
        if ($of->lacks !== []) {
            throw self::not(implode(' ', $of->lacks));
        }
        $stick = $this->register->find($slug) ?? throw self::not('The register has no such stick.');
        $this->planner->mayGo($stick, $job->id);
        self::mustBeIt($stick, $typed);
        $plan = $this->plan($job, $of, $stick);
        try {
            return DB::transaction(static function () use ($job, $of, $stick, $plan, $user): StickBuild {
                $build = StickBuild::query()->create([
                    'slug' => $stick->id,
                    'user_id' => $user->id,
                    'plan' => $plan->toArray(),
                    'drivers' => $of->folder,
                    'job_id' => $job->id,
                ]);
                StickBuildJob::dispatch($build->id)->afterCommit();

                return $build;
            });
        } catch (UniqueConstraintViolationException) {
            throw self::not("{$stick->name} is being built already. Wait for it, or cancel it.");
        }
    }

    private function plan(Job $job, FilesForStick $of, Stick $stick): StickPlan
    {
        try {
            return FilesPlanner::plan(
                "Job {$job->id}, {$of->wanted->for->title()}",
                $this->register->device($stick->id)->target(),
                $of->wanted->scheme,
                strtoupper($of->wanted->for->value),
                $of->files,
                $this->register->labels($stick->id),
            );
        } catch (PlanFault|LayoutImpossible|BuildFailure $e) {
            throw self::not($e->getMessage());
        }
    }

    /** @throws ValidationException */
    private static function mustBeIt(Stick $stick, string $typed): void
    {
        $contents = $stick->contents ?? 'whatever is on it';
        $asked = new Confirmation(
            $stick->name, $stick->size()->count, $stick->serial, $contents, 'the bench', true,
        );
        if (! $asked->accepts($typed)) {
            throw ValidationException::withMessages([
                'serial' => "That is not the end of the serial of {$stick->name}. Read it off the stick itself.",
            ]);
        }
    }

    private static function not(string $why): ValidationException
    {
        return ValidationException::withMessages(['files' => $why]);
    }
}
