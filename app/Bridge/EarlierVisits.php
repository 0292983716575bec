<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Models\Job;
use Cobblestone\Inventory\Plain;
use Illuminate\Database\Eloquent\Builder;

/** The jobs of a machine that was on this bench before, found by its serial (rule L6). */
final readonly class EarlierVisits
{
    /** Visits that are named; the others are counted. */
    private const NAMED = 5;

    /** @param  list<Job>  $named  newest first, not more than are named */
    private function __construct(public int $many, public array $named)
    {
    }

    /** @param  Job|null  $now  the visit that is going on */
    public static function of(?string $serial, ?Job $now = null): ?self
    {
        // What makers leave where nobody filled a serial in names no machine.
        $serial = Plain::word($serial);
        if ($serial === null) {
            return null;
        }
        $query = self::visits($serial, $now);
        $query->getQuery()->orderByDesc('id')->limit(self::NAMED);
        $visits = $query->get(['id', 'title', 'status', 'created_at', 'contents_removed_at']);
        if ($visits->isEmpty()) {
            return null;
        }
        $many = $visits->count() < self::NAMED ? $visits->count() : self::visits($serial, $now)->toBase()->count();

        return new self($many, array_values($visits->all()));
    }

    /** @return Builder<Job> */
    private static function visits(string $serial, ?Job $now): Builder
    {
        $visits = Job::query();
        $visits->getQuery()->whereRaw('lower(machine_serial) = ?', [mb_strtolower($serial)]);
        if ($now !== null) {
            $visits->getQuery()->where('id', '<', $now->id);
        }

        return $visits;
    }
}
