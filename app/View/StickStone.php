<?php

declare(strict_types=1);

namespace App\View;

use App\Bridge\JobStick;
use App\Models\Job;
use App\Models\StickState;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\ImageFit;
use Cobblestone\Media\StoneProof;
use Cobblestone\Media\WantedStick;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Step;

/** What the workshop has for a stone of a job's stick: the image that fits, a stick that was made for it. */
final readonly class StickStone
{
    /**
     * @param  list<array{name: string, href: string}>  $images  that fit; only at the stone that checks one
     * @param  string|null  $fetch  page that fetches the image; only at the stone that does
     * @param  string|null  $made  name of the stick that was built for this job and is good
     */
    private function __construct(
        public int $job,
        public array $images,
        public ?string $made,
        public ?string $fetch = null,
    ) {
    }

    /** Null at a stone that no stick of the workshop would lay. */
    public static function of(Job $job, Step $step, JobStick $bridge): ?self
    {
        if (in_array(PathFact::IMAGE_FETCHED, $step->after, true)) {
            $image = $bridge->imageOf($job);

            return new self($job->id, [], null, $image === null ? '/shelf' : "/shelf/fetch/{$image}?job={$job->id}");
        }
        if (array_intersect(StoneProof::PROVES, $step->after) === []) {
            return null;
        }
        $wanted = $bridge->wanted($job);

        return $wanted === null ? null : new self(
            $job->id,
            in_array(PathFact::IMAGE_PROVEN, $step->after, true) ? self::images($wanted, $bridge) : [],
            self::made($job, $bridge),
        );
    }

    /** @return list<array{name: string, href: string}> */
    private static function images(WantedStick $wanted, JobStick $bridge): array
    {
        $shelf = $bridge->shelf($wanted);
        $fits = array_filter($bridge->images($wanted, $shelf), static fn (ImageFit $fit): bool => $fit->fits());

        return array_values(array_map(static fn (ImageFit $fit): array => [
            'name' => $fit->image->name,
            'href' => '/shelf/'.$shelf->get($fit->image->name)?->id,
        ], $fits));
    }

    private static function made(Job $job, JobStick $bridge): ?string
    {
        $state = StickState::query()->where('content->job', $job->id)->get()
            ->first(static fn (StickState $state): bool => $state->condition === StickCondition::Good);

        return $state === null ? null : $bridge->name($state->slug);
    }
}
