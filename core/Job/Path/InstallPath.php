<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Assessment\Licence;
use Cobblestone\Assessment\Ownership;
use Cobblestone\Assessment\Requirements;
use Cobblestone\Assessment\SupportEnds;
use Cobblestone\Catalogue\Image;
use Cobblestone\Drivers\DriverPlanner;
use Cobblestone\Firmware\FirmwarePlanner;
use Cobblestone\Firmware\FirmwarePutBack;
use Cobblestone\Firmware\GraphicsShare;
use Cobblestone\Firmware\PortPower;
use Cobblestone\Firmware\StickToStart;
use Cobblestone\Hardware\DriveSwap;
use Cobblestone\Hardware\FirstPower;
use Cobblestone\Install\FirstBoot;
use Cobblestone\Install\InstallPlanner;
use Cobblestone\Install\OldDrive;
use Cobblestone\Install\TargetDrive;
use Cobblestone\Job\DriveFate;
use Cobblestone\Job\GatherList;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\Layouts;
use Cobblestone\Job\OwnersWord;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Media\MediaPlanner;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\Acceptance;
use Cobblestone\Tuning\ProofScope;

/** A system from a stick onto a drive: clean install, first power-on of a new build, new drive (rules J1, J2). */
final class InstallPath
{
    public static function draft(JobContext $context): PathDraft
    {
        [$machine, $system, $image, $brief, $policy] = [$context->machine, $context->system(), $context->image(), $context->brief, $context->policy];
        $swap = $context->kind()->fitsDrive();
        $new = $context->kind()->isNewBuild();
        $old = OldDrive::of($machine);
        $target = $swap || $new ? TargetDrive::fitted($machine, $swap ? null : $machine->internalDrives(), $swap ? $old->drive : null) : TargetDrive::choose($machine);
        $protected = $swap ? $old->drive : $target->drive;
        $protection = SafeguardPlanner::plan($context, $protected, $target->others, static fn (bool $keep): EncryptionIntent => new EncryptionIntent(false, $swap ? [Trigger::DriveMoved] : [Trigger::SecureBootState, ...($policy->school('boot') === 'permanent-order' ? [Trigger::BootOrder] : [])], 0, $keep && ! $new), ! $swap);
        $hardware = match (true) {
            $swap => DriveSwap::plan($machine, $protected, $target->drive, $protection, $brief->backup, $policy),
            $new => FirstPower::plan($machine),
            default => new Contribution,
        };
        $drivers = DriverPlanner::plan($machine, $system, $context->catalogue->drivers(), $policy);
        $media = MediaPlanner::plan($machine, $image, $context->catalogue->sticks($brief->sticks), $policy, $drivers->offlineSize(), count($drivers->offline));
        $firmware = FirmwarePlanner::plan($machine, $system, new StickToStart($image, $media->stick?->connector, $context->imageSigner()), $policy, $protection->encryption->firmwareWaits && ! $swap ? $protection->backup->gates : []);
        $stickIn = InstallPlanner::stickStaysIn($system);
        $power = PortPower::plan($machine, $stickIn);
        $requirements = Requirements::assess($machine, $system, $image, $target->drive, $brief->edition, $policy->school('bypass'), $swap);
        [$owner, $ownerWaits] = Ownership::assess($machine, ! $new, $brief->owner);
        $licence = Licence::assess($machine, $system, $brief->edition, $brief->licence);
        $extras = Ownership::extras($brief->extras, $policy->school('extras'));
        $gaps = SupportEnds::gaps($system, $brief->depends);
        $ends = [SupportEnds::of($system, $context->today())];
        $gates = $swap || $new ? [] : $protection->gates();
        $waits = [...($swap || $new ? [] : $protection->backup->erasingWaitsFor), ...($new ? [] : $protection->encryption->erasingWaitsFor()), ...$ownerWaits, ...($hardware->steps === [] ? [] : [PathFact::CASE_CLOSED]), ...self::recorded($requirements, $extras)];
        $install = InstallPlanner::plan($machine, $system, $target, $gates, $waits, $brief->owner);
        $cable = array_filter($machine->devices, static fn (Device $device): bool => $device->wired) !== [];
        $firstBoot = FirstBoot::plan($system, [...$drivers->offlineFacts(), ...FirmwarePutBack::beforeOnline($firmware->steps)], $cable, $policy->school('auto_encryption'), $drivers->online);
        $protecting = match (true) {
            $new => $protection->health->contribution->and($protection->memoryContribution())->and(new Contribution(initial: [PathFact::BACKUP_SETTLED])),
            $swap && ! $protection->health->rescueFirst() => $protection->withoutBackup()->and(new Contribution(questions: [...$protection->backup->contribution->questions, ...$old->questions], initial: [PathFact::SHUT_DOWN], blockers: $old->blockers)),
            $swap => $protection->contribution()->and(new Contribution(questions: $old->questions, blockers: $old->blockers)),
            default => $protection->contribution(),
        };

        $hardware = self::closedLast($hardware, $install);
        $all = $protecting->and($owner)->and($requirements->contribution)->and($extras)->and($hardware)->and($media->contribution)->and($power)->and($firmware)->and($install)->and($firstBoot)->and($drivers->contribution)->and($licence->contribution)
            ->and(self::imageQuestions($context))
            ->and(new Contribution(decisions: $ends[0]['ends'] === null && $gaps === [] ? [] : [SupportEnds::decision($gaps, $ends)], gather: GatherList::forMachine($machine)));
        [$layouts, $layoutDecisions, $layoutBlockers] = Layouts::of($machine, $system, $target->drive, $media, $swap);
        $steps = [
            ...IntakeSteps::first($machine, OwnersWord::step(match (true) {
                $new => DriveFate::Empty,
                $swap => DriveFate::ComesOut,
                default => DriveFate::Erased,
            }, $swap ? $protected : $target->drive, $brief->owner, $swap && ! $protection->health->rescueFirst() ? null : $protection->backup, SupportEnds::missing($gaps))),
            IntakeSteps::gather($all->gather),
            ...$all->steps,
            Acceptance::step($machine, $system, $brief->edition, $target->drive, null, ProofScope::Whole, GraphicsShare::after($machine, $firmware->steps), count($drivers->unresolved)),
        ];

        return new PathDraft(
            (new Contribution($steps))->and(new Contribution([], [...$all->decisions, ...$layoutDecisions], $all->questions, $all->gather, $all->initial, [...$all->blockers, ...$layoutBlockers])),
            layouts: $layouts,
            assessment: [...$protection->toArray(), ...($new ? ['backup' => ['keep' => 'blank']] : []), 'requirements' => $requirements->toArray(), 'support' => $ends, 'depends' => $gaps, 'ports' => PortUse::of($machine, $media->stick?->connector, ! $brief->backup->isEmpty() && $protection->backup->somethingToKeep() && ! $new && (! $swap || $protection->health->rescueFirst()))],
            stick: $media->stick?->name,
        );
    }

    /**
     * Records that have to exist before the drive is erased.
     *
     * @return list<string>
     */
    private static function recorded(Requirements $requirements, Contribution $extras): array
    {
        return array_merge(...array_map(static fn ($step): array => $step->after, [...$requirements->contribution->steps, ...$extras->steps]), ...[[]]);
    }

    /** What comes out comes out before the case is closed (rules H3, I1). */
    private static function closedLast(Contribution $hardware, Contribution $install): Contribution
    {
        $detaches = array_filter($install->steps, static fn (Step $step): bool => in_array(PathFact::DRIVES_DETACHED, $step->after, true)) !== [];
        if (! $detaches) {
            return $hardware;
        }

        return $hardware->withSteps(array_map(static fn (Step $step): Step => in_array(PathFact::CASE_CLOSED, $step->after, true) ? $step->waitingFor(PathFact::DRIVES_DETACHED) : $step, $hardware->steps));
    }

    private static function imageQuestions(JobContext $context): Contribution
    {
        $brief = $context->brief;
        if (! $brief->image instanceof Image || ! $brief->image->kindAssumed || isset($brief->machine->facts['image.kind'])) {
            return new Contribution;
        }

        $decides = 'how the stick is written; until then "to write as it is" is assumed';

        return new Contribution(questions: [FactQuestion::about('image.kind', $decides, 'M3', 50)]);
    }
}
