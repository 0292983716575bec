<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bridge\CollectingFrom;
use App\Bridge\JobStick;
use App\Bridge\StickRegister;
use App\Devices\DriverFolders;
use App\Jobs\StickBuildJob;
use App\Models\Job;
use App\Models\StickBuild;
use App\Models\User;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Runbook\Confirmation;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Puts the stick that reads a job's machine into the queue: a medium of the shelf, storage, and the collector. */
final class BuildCollectingStick
{
    private const WAY = 'copied-storage';

    public function __construct(
        private readonly StickRegister $register,
        private readonly PlanStick $planner,
        private readonly JobStick $sticks,
    ) {
    }

    /**
     * @param  string  $typed  last four of the serial
     *
     * @throws ValidationException with what is wrong, at the field
     */
    public function handle(Job $job, string $slug, string $typed, User $user): StickBuild
    {
        $file = CollectingFrom::of($job, $this->sticks)->file
            ?? throw self::not('collect', 'No medium on the shelf allows a collecting stick for this job.');
        $stick = $this->register->find($slug) ?? throw self::not('collect', 'The register has no such stick.');
        $this->planner->mayGo($stick, $job->id);
        self::mustBeIt($stick, $typed);
        $plan = $this->planner->handle($file, new StickOrder($stick->id, self::WAY, DriverFolders::COLLECTOR), true);
        try {
            return DB::transaction(static function () use ($job, $file, $stick, $plan, $user): StickBuild {
                $build = StickBuild::query()->create([
                    'slug' => $stick->id, 'shelf_file_id' => $file->id, 'user_id' => $user->id,
                    'plan' => $plan->toArray(), 'drivers' => DriverFolders::COLLECTOR, 'job_id' => $job->id,
                ]);
                StickBuildJob::dispatch($build->id)->afterCommit();

                return $build;
            });
        } catch (UniqueConstraintViolationException) {
            throw self::not('collect', "{$stick->name} is being built already. Wait for it, or cancel it.");
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
            throw self::not(
                'serial',
                "That is not the end of the serial of {$stick->name}. Read it off the stick itself.",
            );
        }
    }

    private static function not(string $field, string $why): ValidationException
    {
        return ValidationException::withMessages([$field => $why]);
    }
}
