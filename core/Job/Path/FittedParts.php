<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Safeguards;
use Cobblestone\Hardware\DriveExchange;
use Cobblestone\Hardware\FirstPower;
use Cobblestone\Install\OldDrive;
use Cobblestone\Install\TargetDrive;
use Cobblestone\Job\JobContext;
use Cobblestone\Runbook\Contribution;

/** What is done with hands inside a machine before its system is installed, by the kind of job (rules H1-H4). */
final class FittedParts
{
    public static function of(
        JobContext $context,
        OldDrive $old,
        TargetDrive $new,
        Safeguards $protection,
    ): Contribution {
        [$machine, $wish, $policy] = [$context->machine, $context->brief->backup, $context->policy];

        return match (true) {
            $context->kind()->fitsDrive() => DriveExchange::plan(
                $machine,
                $old->drive,
                $new->drive,
                $protection,
                $wish,
                $policy,
            ),
            $context->kind()->isNewBuild() => FirstPower::plan($machine, $new->drive),
            default => new Contribution,
        };
    }
}
