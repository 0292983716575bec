<?php

declare(strict_types=1);

namespace App\View;

use App\Bridge\OnTheMedium;
use App\Bridge\StickRegister;
use App\Catalogue\CatalogueStore;
use App\Models\ProvingStart;
use Cobblestone\Runbook\PlannedJob;

/** The stick of a job, and its last start in an emulated machine as the model of that job. */
final readonly class StickStartedHere
{
    private function __construct(public string $name, public string $slug, public ?ProvingLine $last)
    {
    }

    /** @return self|null null where the job has no stick of the register */
    public static function of(PlannedJob $job, CatalogueStore $catalogue, StickRegister $register): ?self
    {
        $slug = array_search($job->stick, array_column($catalogue->kind('sticks'), 'name', 'id'), true);
        if (! is_string($slug)) {
            return null;
        }
        $since = OnTheMedium::sinceOnStick($slug, $register->device($slug)->path());
        $lines = ProvingStart::of(null, $slug)->map(
            static fn (ProvingStart $start): ProvingLine => new ProvingLine($start, $since),
        );

        return new self(
            (string) $job->stick,
            $slug,
            $job->model === null ? null : ProvingLine::lastAs($job->model, array_values($lines->all())),
        );
    }
}
