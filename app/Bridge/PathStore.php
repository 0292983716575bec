<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Models\CurrentPath;
use App\Models\Job;
use App\Models\PathRevision;
use App\Models\User;
use Cobblestone\Document\Change;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\PlanDifference;

/** Where paths are kept: the current one whole, its first revision whole, every other one as what it changed. */
final class PathStore
{
    /** The caller's transaction holds the job. */
    public static function first(Job $job, User $user, Plan $plan): void
    {
        $document = $plan->toArray();
        self::revision($job, 1, $user, 'first path', ['plan' => $document]);
        CurrentPath::query()->create(['job_id' => $job->id, 'revision' => 1, 'plan' => self::json($document)]);
    }

    /** The caller's transaction holds the job, whose revision has been counted up. */
    public static function next(Job $job, User $user, Plan $plan, PlanDifference $difference, string $reason): void
    {
        $current = $job->currentPlan();
        $json = self::json($plan->toArray());
        self::revision($job, $job->revision, $user, $reason, [
            'change' => Change::between($current->plan, json_decode($json, true, flags: JSON_THROW_ON_ERROR)),
            'difference' => $difference->toArray(),
        ]);
        $current->hold($job->revision, $json);
    }

    /** @return array<int, array<string, mixed>> revision => the path as it was */
    public static function all(Job $job): array
    {
        $paths = [];
        $path = [];
        foreach (PathRevision::query()->where('job_id', $job->id)->get()->sortBy('revision') as $row) {
            $path = $row->plan ?? Change::apply($path, $row->change ?? []);
            $paths[$row->revision] = (array) $path;
        }

        return $paths;
    }

    /** What the owner's data ends with. */
    public static function remove(Job $job): void
    {
        CurrentPath::query()->whereKey($job->id)->delete();
    }

    /** @param  array<string, mixed>  $content */
    private static function revision(Job $job, int $number, User $user, string $reason, array $content): void
    {
        PathRevision::query()->create([
            'job_id' => $job->id,
            'revision' => $number,
            'reason' => mb_substr($reason, 0, 400),
            'user_id' => $user->id,
            'created_at' => now(),
            ...$content,
        ]);
    }

    /** @param  array<string, mixed>  $document */
    private static function json(array $document): string
    {
        return json_encode($document, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
