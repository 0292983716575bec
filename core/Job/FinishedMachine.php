<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Inventory\Reading;
use Cobblestone\Machine\Machine;

/** A machine as readings say it is, and as nothing else does: no catalogue, no answers (rule T1). */
final class FinishedMachine
{
    /**
     * @param  list<Reading>  $readings  of each tool the newest counts
     *
     * @throws BriefFault where a reading cannot be taken apart
     */
    public static function of(array $readings, Catalogue $catalogue): Machine
    {
        // The kind is asked for and read by nothing here: what it would lend is only assumed, and that proves nothing.
        [$machine] = MachineBuilder::build(Brief::fromArray([
            'brief' => Brief::FORMAT,
            'title' => 'readings',
            'machine' => [
                'kind' => 'desktop',
                'readings' => array_map(static fn (Reading $one): array => $one->toArray(), $readings),
            ],
            'system' => 'none',
        ]), $catalogue);

        return $machine;
    }

    /**
     * When the machine was read, by its own clock: the collector says it of its whole bundle.
     *
     * @param  list<Reading>  $readings
     */
    public static function at(array $readings): ?string
    {
        $times = array_filter(array_map(
            static fn (Reading $one): ?string => $one->tool === 'collector' ? $one->at : null,
            $readings,
        ));

        return $times === [] ? null : max($times);
    }
}
