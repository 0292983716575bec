<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Dependence;
use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Assessment\InstallWish;
use Cobblestone\Assessment\Licence;
use Cobblestone\Assessment\Requirements;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Assessment\SupportEnds;
use Cobblestone\Brief\Brief;
use Cobblestone\Brief\LicenceBlock;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Install\TargetDrive;
use Cobblestone\Job\DriveFate;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\OwnersLoss;
use Cobblestone\Job\OwnersWord;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Step;

/** What an upgrade asks of its parts: safeguards, requirements, licence and room. */
final class UpgradeParts
{
    public static function safeguards(JobContext $context, TargetDrive $target): Safeguards
    {
        return SafeguardPlanner::plan(
            $context,
            $target->drive,
            [],
            static fn (bool $keep): EncryptionIntent => new EncryptionIntent(true, [Trigger::Loader], 4, $keep),
            true,
        );
    }

    public static function requirements(
        Machine $machine,
        SystemProfile $system,
        Image $image,
        TargetDrive $target,
        Brief $brief,
        JobContext $context,
    ): Requirements {
        return Requirements::assess(
            new InstallWish($machine, $system, $image, $target->drive, $brief->edition),
            $context->policy->school('bypass'),
        );
    }

    public static function licence(Machine $machine, SystemProfile $system, Brief $brief): Licence
    {
        return Licence::assess(
            $machine,
            $system,
            $brief->edition,
            $brief->licence ?? new LicenceBlock('entitlement'),
        );
    }

    /**
     * @param  list<Decision>  $decisions
     * @param  list<Blocker>  $blockers
     */
    public static function contribution(array $decisions, array $blockers): Contribution
    {
        return new Contribution(
            decisions: $decisions,
            gather: [new GatherItem('charger and network', 'in for the whole upgrade')],
            initial: [PathFact::STICK_OUT, PathFact::DRIVERS_FETCHED, PathFact::SHUT_DOWN],
            blockers: $blockers,
        );
    }

    /**
     * @param  list<Dependence>  $gaps
     * @return list<Step>
     */
    public static function first(
        Machine $machine,
        TargetDrive $target,
        Brief $brief,
        Safeguards $protection,
        array $gaps,
    ): array {
        return IntakeSteps::first(
            $machine,
            OwnersWord::step(
                new OwnersLoss(DriveFate::Stays, $target->drive),
                $brief->owner,
                $protection->backup,
                SupportEnds::missing($gaps),
            ),
        );
    }

    /**
     * @return list<string>
     */
    public static function waitsFor(Safeguards $protection, Requirements $requirements, Contribution $extras): array
    {
        return [
            ...($protection->backup->somethingToKeep() ? [PathFact::BACKUP_DETACHED] : []),
            ...array_merge(
                ...array_map(
                    static fn (Step $step): array => $step->after,
                    [...$requirements->contribution->steps, ...$extras->steps],
                ),
                ...[[]],
            ),
        ];
    }
}
