<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Catalogue\CatalogueStore;
use App\Models\FinishedReading;
use App\Models\Job;
use App\Models\SeenRow;
use Cobblestone\Brief\Brief;
use Cobblestone\Inventory\Reading;
use Cobblestone\Job\FinishedReadings;
use Cobblestone\Runbook\Signed;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\Proof\AcceptanceTable;
use Cobblestone\Tuning\Proof\Observation;

/** What is known of the finished machine of a job: read by tools, written down by people, signed by the lead. */
final class SeenMachine
{
    public function __construct(private readonly JobBridge $bridge, private readonly CatalogueStore $catalogue)
    {
    }

    /** @param  list<Reading>  $readings  of the finished machine */
    public function readings(Job $job, array $readings): FinishedReadings
    {
        return FinishedReadings::of(
            Brief::fromArray($this->bridge->brief($job)),
            $readings,
            $this->catalogue->catalogue(),
            now()->utc()->format('Y-m-d\TH:i\Z'),
        );
    }

    public function table(Job $job, Step $readings): AcceptanceTable
    {
        return AcceptanceTable::of($readings->evidence, $this->of($job, $readings));
    }

    /** @return array<string, Observation> by row: the newest of what tools said and people wrote down */
    public function of(Job $job, Step $readings): array
    {
        $all = FinishedReading::ofJob($job->id);
        $seen = $all === [] ? [] : $this->readings($job, FinishedReading::newest($all))->seen($readings->evidence);
        $last = $all === [] ? null : $all[count($all) - 1]->created_at;
        foreach (SeenRow::ofJob($job->id) as $row => $written) {
            $isNewer = $last === null || $written->created_at->gte($last);
            if (! isset($seen[$row]) || ($isNewer && ! $written->isLeftOpen())) {
                $seen[$row] = new Observation($written->value, $written->user->title);
            }
        }

        return $seen;
    }

    /**
     * @param  array<string, Observation>  $seen  by row
     * @return array<string, Signed> by row: what the lead has accepted, as far as it is still what is seen
     */
    public static function signed(Job $job, array $seen): array
    {
        $signed = array_filter(
            SeenRow::ofJob($job->id),
            static fn (SeenRow $one): bool => ($one->reason ?? '') !== ''
                && ($seen[$one->row]->value ?? '') === $one->value,
        );

        return array_map(
            static fn (SeenRow $one): Signed => new Signed((string) $one->reason, $one->user->role, $one->user->title),
            $signed,
        );
    }
}
