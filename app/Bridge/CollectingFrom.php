<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Models\Job;
use App\Models\ShelfFile;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\ImageFit;
use Cobblestone\Media\WantedStick;

/** The collecting stick of a job: what it has to carry, and the image on the shelf that it is made from (rule A1). */
final readonly class CollectingFrom
{
    private function __construct(public WantedStick $wanted, public ?ShelfFile $file)
    {
    }

    /** Null where the path wants none. */
    public static function of(Job $job, JobStick $sticks): ?self
    {
        $wanted = WantedStick::collecting($job->currentPlan()->typed());
        if ($wanted === null) {
            return null;
        }
        $shelf = $sticks->shelf($wanted);
        $first = $sticks->images($wanted, $shelf)[0] ?? null;

        $fits = $first instanceof ImageFit && $first->fits();

        return new self($wanted, $fits ? $shelf->get($first->image->name) : null);
    }

    /**
     * The stick that the path has chosen for it.
     *
     * @param  array<string, Stick>  $sticks  by number in the register
     */
    public function on(array $sticks): ?Stick
    {
        return $sticks[$this->wanted->stick ?? ''] ?? null;
    }
}
