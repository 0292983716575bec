<?php

declare(strict_types=1);

namespace App\Actions;

use App\Jobs\StickBuildJob;
use App\Models\ShelfFile;
use App\Models\StickBuild;
use App\Models\User;
use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Media\Build\StickPlan;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Puts the proof of a stick that another computer made into the queue. */
final class ProveElsewhere
{
    /** @throws ValidationException where somebody works on that stick */
    public function handle(
        StickPlan $plan,
        StickOrder $order,
        ShelfFile $file,
        HostProfile $host,
        ?User $user,
    ): StickBuild {
        try {
            return DB::transaction(function () use ($plan, $order, $file, $host, $user): StickBuild {
                $build = StickBuild::query()->create([
                    'slug' => $order->stick,
                    'shelf_file_id' => $file->id,
                    'user_id' => $user?->id,
                    'plan' => $plan->toArray(),
                    'drivers' => $order->drivers,
                    'job_id' => $order->job,
                    'made_on' => $host->id,
                ]);
                StickBuildJob::dispatch($build->id)->afterCommit();

                return $build;
            });
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages([
                'stick' => 'This stick is being worked on already. Wait for it, or cancel it.',
            ]);
        }
    }
}
