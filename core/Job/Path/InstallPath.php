<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Dependence;
use Cobblestone\Assessment\InstallWish;
use Cobblestone\Assessment\KnownTroubles;
use Cobblestone\Assessment\Licence;
use Cobblestone\Assessment\Ownership;
use Cobblestone\Assessment\Requirements;
use Cobblestone\Assessment\Route\GentlerWays;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Assessment\SupportEnd;
use Cobblestone\Assessment\SupportEnds;
use Cobblestone\Drivers\DriverByHand;
use Cobblestone\Drivers\DriverPlanner;
use Cobblestone\Findings\Findings;
use Cobblestone\Firmware\DefaultsFirst;
use Cobblestone\Firmware\FirmwarePlanner;
use Cobblestone\Firmware\PortPower;
use Cobblestone\Firmware\StickToStart;
use Cobblestone\Install\AnswerFile;
use Cobblestone\Install\BeforeErasing;
use Cobblestone\Install\InstallPace;
use Cobblestone\Install\InstallPlanner;
use Cobblestone\Install\OldDrive;
use Cobblestone\Install\SwapPlan;
use Cobblestone\Install\TargetDrive;
use Cobblestone\Install\TryLive;
use Cobblestone\Job\DrawnLayouts;
use Cobblestone\Job\DriveFate;
use Cobblestone\Job\GatherList;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\OwnersLoss;
use Cobblestone\Job\OwnersWord;
use Cobblestone\Machine\Drive;
use Cobblestone\Media\MediaPlan;
use Cobblestone\Media\WriteMode;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\AddOns;

/** A system from a stick onto a drive: clean install, first power-on of a new build, new drive (rules J1, J2). */
final readonly class InstallPath
{
    private function __construct(
        private JobContext $context,
        private bool $swap,
        private bool $new,
        private OldDrive $old,
        private TargetDrive $target,
        private Safeguards $protection,
        private KnownTroubles $known,
    ) {
    }

    public static function draft(JobContext $context): PathDraft
    {
        $machine = $context->machine;
        $swap = $context->kind()->fitsDrive();
        $new = $context->kind()->isNewBuild();
        $old = OldDrive::of($machine);
        $target = $swap || $new
            ? TargetDrive::fitted($machine, $swap ? null : $machine->internalDrives(), $swap ? $old->drive : null)
            : InstallParts::target($context);
        $protected = $swap ? $old->drive : $target->drive;
        $protection = InstallParts::safeguards($context, $protected, $target, $swap, $context->policy, $new);

        $known = KnownTroubles::of($machine, $context->system(), $context->image);

        return (new self($context, $swap, $new, $old, $target, $protection, $known))->path();
    }

    private function path(): PathDraft
    {
        [$context, $machine, $system] = [$this->context, $this->context->machine, $this->context->system()];
        $drivers = DriverPlanner::plan($machine, $system, $context->catalogue->drivers(), $context->policy);
        $media = InstallParts::media($context, $drivers);
        $firmware = $this->firmware($media);
        $requirements = $this->requirements();
        $gentler = $this->gentler($requirements);
        $extras = Ownership::extras($context->brief->extras, $context->policy->school('extras'));
        [$owner, $ownerWaits] = Ownership::assess($machine, ! $this->new, $context->brief->owner);
        $hardware = FittedParts::of($context, $this->old, $this->target, $this->protection);
        $pace = InstallPace::of($machine, $context->image(), $media->stick, $this->target->drive, $context->policy);
        $file = AnswerParts::file($context, $media, $requirements);
        $byHand = $drivers->byHand ? new DriverByHand($machine, $media->mode === WriteMode::Raw) : null;
        $recorded = [
            ...InstallParts::recorded($requirements, $extras, $file),
            ...$byHand === null ? [] : [PathFact::DRIVER_BY_HAND],
        ];
        $install = $this->install($hardware, $ownerWaits, $recorded, $pace);
        $gaps = SupportEnds::gaps($system, $context->brief->depends);
        $ends = [SupportEnds::of($system, $context->today())];
        $all = InstallParts::protecting($this->new, $this->protection, $this->swap, $this->old)->and($owner)
            ->and($requirements->contribution)
            ->and($extras)
            ->and(InstallParts::detachedFirst($hardware, $install))
            ->and($media->contribution)
            ->and($byHand?->contribution() ?? new Contribution())
            ->and(PortPower::plan($machine, InstallPlanner::stickStaysIn($system, $pace)))
            ->and($firmware)
            ->and($install)
            ->and(InstallParts::afterCopying($context, $drivers, $firmware, $file))
            ->and(GentlerParts::contribution($gentler, $context->goal)->and($this->besides($gaps, $ends)));
        $steps = $this->steps($all, InstallParts::proof($context, $this->target, $firmware, $drivers), $gaps, $gentler);

        return $this->written($all->withSteps($steps), $media, new Findings(
            ...$this->protection->found($this->new),
            requirements: $requirements->found(),
            support: $ends,
            depends: $gaps,
            drivers: $drivers->found(),
            answers: AnswerParts::found($context, $file, $requirements),
            gentler: $gentler?->found(),
            known: $this->known->found(),
            ports: InstallParts::ports($machine, $media, $context->brief, $this->protection, $this->new, $this->swap),
        ));
    }

    /**
     * @param  list<Dependence>  $gaps
     * @param  list<SupportEnd>  $ends
     */
    private function besides(array $gaps, array $ends): Contribution
    {
        $support = $ends[0]->ends === null && $gaps === [] ? null : SupportEnds::decision($gaps, $ends);

        return new Contribution(
            AddOns::plan($this->context->brief->extras, $this->context->policy->school('extras'))->steps,
            array_values(array_filter([$support, $this->known->decision()])),
            gather: GatherList::forMachine($this->context->machine),
        );
    }

    private function written(Contribution $all, MediaPlan $media, Findings $findings): PathDraft
    {
        $context = $this->context;
        [$machine, $system, $swap] = [$context->machine, $context->system(), $this->swap];
        $room = SwapPlan::of($machine, $system, $context->policy);
        [$layouts, $decisions, $blockers] = DrawnLayouts::of($machine, $system, $this->target, $media, $swap, $room);

        return new PathDraft(
            $all->and(new Contribution(decisions: $decisions, blockers: $blockers)),
            $findings,
            $layouts,
            $media->stick?->name,
            $context->wanted($media),
            $media->files,
        );
    }

    private function gentler(Requirements $requirements): ?GentlerWays
    {
        $held = $this->swap ? $this->old->drive : $this->target->drive;

        return GentlerParts::of($this->context, $this->protection, $requirements->fit, $held);
    }

    private function firmware(MediaPlan $media): Contribution
    {
        $context = $this->context;
        $waits = $this->protection->encryption->firmwareWaits || DefaultsFirst::isWanted($context->policy);

        return FirmwarePlanner::plan(
            $context->machine,
            $context->system(),
            new StickToStart($context->image(), $media->stick?->connector, $context->imageSigner()),
            $context->policy,
            $waits && ! $this->swap && ! $this->new ? $this->protection->backup->gates : [],
            $this->swap || $this->new,
        );
    }

    private function requirements(): Requirements
    {
        [$context, $drive] = [$this->context, $this->target->drive];
        [$image, $edition] = [$context->image(), $context->brief->edition];

        return Requirements::assess(
            new InstallWish($context->machine, $context->system(), $image, $drive, $edition, $this->swap),
            $context->policy->school('bypass'),
        );
    }

    /**
     * @param  list<string>  $ownerWaits
     * @param  list<string>  $recorded
     */
    private function install(
        Contribution $hardware,
        array $ownerWaits,
        array $recorded,
        InstallPace $pace,
    ): Contribution {
        [$context, $protection] = [$this->context, $this->protection];
        $staysIn = ! $this->swap && ! $this->new;
        $waits = [
            ...($staysIn ? $protection->backup->erasingWaitsFor : []),
            ...($this->new ? [] : $protection->encryption->erasingWaitsFor()),
            ...$ownerWaits,
            ...($hardware->steps === [] ? [] : [PathFact::CASE_CLOSED]),
            ...$recorded,
        ];
        [$gates, $owner] = [$staysIn ? $protection->gates() : [], $context->brief->owner];

        return InstallPlanner::plan(
            $context->machine,
            $context->system(),
            $this->target,
            new BeforeErasing(
                $gates,
                $waits,
                $owner,
                $context->brief->edition,
                Licence::kindOf($context->machine, $context->brief->licence),
                TryLive::of($context->system(), $context->machine->kind, $this->known, $context->policy),
            ),
            $pace,
        );
    }

    /**
     * @param  list<Dependence>  $gaps
     * @return list<Step>
     */
    private function steps(Contribution $all, Step $proof, array $gaps, ?GentlerWays $gentler): array
    {
        $fate = match (true) {
            $this->new => DriveFate::Empty,
            $this->swap => DriveFate::ComesOut,
            default => DriveFate::Erased,
        };
        $word = OwnersWord::step(
            new OwnersLoss($fate, $this->swap ? $this->old->drive : $this->target->drive, $this->target->keeping),
            $this->context->brief->owner,
            $this->swap && ! $this->protection->health->rescueFirst() ? null : $this->protection->backup,
            [...SupportEnds::missing($gaps), ...$this->known->missed()],
            $gentler,
        );

        return [
            ...IntakeSteps::first($this->context->machine, $word),
            IntakeSteps::gather($all->gather),
            ...AnswerFile::readBackLast($all->steps),
            $proof,
        ];
    }
}
