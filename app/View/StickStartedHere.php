<?php

declare(strict_types=1);

namespace App\View;

use App\Bridge\OnTheMedium;
use App\Bridge\StickRegister;
use App\Catalogue\CatalogueStore;
use App\Models\Job;
use App\Models\ProvingStart;
use Cobblestone\Boot\StartFound;
use Cobblestone\Runbook\PlannedJob;
use Illuminate\Support\Carbon;

/** The stick of a job as it was started here: as the model is delivered, and as the job sets it at each power-on. */
final readonly class StickStartedHere
{
    /** @param  list<ProvingLine>  $asSet  starts as the machine of this job is set, the newest first */
    private function __construct(
        public string $name,
        public string $slug,
        public ?ProvingLine $last,
        private array $asSet,
    ) {
    }

    /** @return self|null null where the job has no stick of the register */
    public static function of(Job $job, PlannedJob $of, CatalogueStore $catalogue, StickRegister $register): ?self
    {
        $slug = array_search($of->stick, array_column($catalogue->kind('sticks'), 'name', 'id'), true);
        if (! is_string($slug)) {
            return null;
        }
        $since = OnTheMedium::sinceOnStick($slug, $register->device($slug)->path());
        $ofJob = ProvingStart::ofJob($job->id)->filter(static fn (ProvingStart $one): bool => $one->slug === $slug);

        return new self(
            (string) $of->stick,
            $slug,
            $of->model === null ? null : ProvingLine::lastAs(
                $of->model,
                self::lines(ProvingStart::of(null, $slug), $since),
            ),
            self::lines($ofJob, $since),
        );
    }

    /** What came of it at a power-on, with the keys and the firmware that the path has there now; null: not started. */
    public function at(StartFound $start): ?ProvingLine
    {
        foreach ($this->asSet as $line) {
            $same = $line->start->step === $start->step && $line->start->number === $start->number
                && $start->as !== null && $line->start->firmware === $start->as->firmware->value
                && $line->start->trusts === $start->as->trusts;
            if ($same && $line->start->drive_of === null && ! $line->isOfBefore()) {
                return $line;
            }
        }

        return null;
    }

    /** The power-on after it, without the stick, from the drive that it had; null: not tried. */
    public function after(ProvingLine $line): ?ProvingLine
    {
        foreach ($this->asSet as $next) {
            if ($next->start->drive_of === $line->start->id && $next->isDone()) {
                return $next;
            }
        }

        return null;
    }

    /**
     * @param  iterable<ProvingStart>  $starts
     * @return list<ProvingLine>
     */
    private static function lines(iterable $starts, ?Carbon $since): array
    {
        $lines = [];
        foreach ($starts as $start) {
            $lines[] = new ProvingLine($start, $since);
        }

        return $lines;
    }
}
