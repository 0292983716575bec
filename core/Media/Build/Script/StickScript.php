<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build\Script;

use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Catalogue\HostScript;
use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\PlannedFile;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\HostFit;

/** The script of a stick plan for the kind of computer that runs it (rule M13). */
final class StickScript
{
    /**
     * @param  HostProfile|null  $host  null: this bench's own kind
     *
     * @throws PlanFault where that computer cannot make it
     */
    public static function of(StickPlan $plan, ?HostProfile $host): string
    {
        if ($host === null) {
            return GuardedScript::of($plan);
        }
        $against = self::against($plan, $host);
        if ($against !== []) {
            throw PlanFault::notPossible(implode(' ', $against));
        }

        return $host->script === HostScript::Own ? OwnScript::of($plan, $host) : GuardedScript::of($plan, $host);
    }

    /** @return list<string> why that computer cannot make it */
    public static function against(StickPlan $plan, HostProfile $host): array
    {
        if ($plan->image->isFolder() && $host->script === HostScript::Own) {
            return [ucfirst("{$host->name} makes no stick of files alone: make it here.")];
        }

        return HostFit::cannot(
            $host,
            $plan->mode,
            array_filter($plan->files, static fn (PlannedFile $file): bool => $file->isPart()) !== [],
            $plan->splitter !== null,
            count($plan->layout->partitions ?? []) > 1,
        );
    }
}
