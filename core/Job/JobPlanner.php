<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Assessment\OtherImage;
use Cobblestone\Boot\Reality;
use Cobblestone\Boot\Rehearsal;
use Cobblestone\Boot\RehearsalGates;
use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Document\Fields;
use Cobblestone\Job\Path\CableRestorePath;
use Cobblestone\Job\Path\CardSwapPath;
use Cobblestone\Job\Path\CollectingStick;
use Cobblestone\Job\Path\FactoryRestorePath;
use Cobblestone\Job\Path\FirmwareUpdatePath;
use Cobblestone\Job\Path\InstallPath;
use Cobblestone\Job\Path\MediaOnlyPath;
use Cobblestone\Job\Path\PathDraft;
use Cobblestone\Job\Path\RepairPath;
use Cobblestone\Job\Path\UpgradePath;
use Cobblestone\Machine\Contradiction;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Assumption;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Holds;
use Cobblestone\Runbook\JobKind;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\PlannedJob;
use Cobblestone\Runbook\Planner;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\TimesSeen;

/** The one way from a brief to a path: the kind of job drafts it from the parts, the planner orders it. */
final class JobPlanner
{
    /** Questions asked before the first path (rule A1); the rest follow as answers come in. */
    public const FIRST_QUESTIONS = 3;

    /**
     * @throws BriefFault
     * @throws \Cobblestone\Catalogue\UnknownEntry
     * @throws \Cobblestone\Runbook\OrderImpossible where contributions contradict each other
     */
    public static function plan(
        Brief $brief,
        Catalogue $catalogue,
        Policy $bench,
        TimesSeen $times = new TimesSeen(),
    ): Plan {
        $context = JobContext::of($brief, $catalogue, $bench);
        $draft = self::draft($context);
        $machine = $context->machine;
        $part = ComingHome::contribution(self::withImage($draft->contribution, $context), $context, $draft);
        $part = FromElsewhere::on($part, $brief->extras, $context->policy->school('extras'));
        $part = $part->and((new TakenForGranted($context))->contribution());
        $steps = $context->kind()->hasMachine()
            ? self::bench($part, $brief)
            : Released::onMedium($part->steps, $brief->released);
        $questions = self::distinct($part->questions);
        $later = array_slice($questions, self::FIRST_QUESTIONS);
        $blockers = self::once($part->blockers);
        $ordered = array_map(
            static fn (Step $step): Step => $times->over(Reality::advise($step, $brief->seen), $draft->stick),
            Planner::order($steps, $part->initial),
        );
        $ordered = Promised::on($ordered, $context, $draft);
        $rehearsed = Rehearsal::run($scene = BootSceneOf::job($context, $draft), $ordered);

        return new Plan(
            job: self::plannedJob($brief, $context, $machine, $draft),
            blockers: $blockers,
            questions: self::heaviest($questions),
            decisions: $part->decisions,
            steps: Holds::on(RehearsalGates::on($ordered, $rehearsed), $blockers, $questions),
            gather: $part->gather,
            initial: $part->initial,
            layouts: Fields::of($draft->layouts->toArray(), 'layouts'),
            facts: $machine->facts->toArray(),
            notes: [...$context->notes, ...self::contradictions($machine)],
            defaults: Fields::of($context->policy->toArray(), 'defaults'),
            later: $later,
            assumed: self::assumed($part->assumed),
            assessment: FoundOnPath::of($draft, $context, $scene, $rehearsed, count($later)),
        );
    }

    /** An image that is not the publisher's own is looked at, allowed and signed for, whatever the kind of job. */
    private static function withImage(Contribution $part, JobContext $context): Contribution
    {
        $school = $context->policy->school('extras');
        $other = OtherImage::contribution(
            $context->image,
            $context->imageSigner(),
            in_array($context->imageSigner()->id ?? '', $context->trustedSigners()->always, true),
            $school,
        );
        $steps = array_map(
            static fn (Step $step): Step => $other->gather !== [] && $step->id === IntakeSteps::GATHER
                ? IntakeSteps::gather([...$part->gather, ...$other->gather])
                : $step,
            OtherImage::over($part->steps, $context->image, $school),
        );

        return $part->withSteps($steps)->and($other)->and(CollectingStick::contribution($context));
    }

    /**
     * @return list<Step>
     */
    private static function bench(Contribution $part, Brief $brief): array
    {
        $steps = Released::on($part->steps, $brief->released);

        return [
            ...$steps,
            ...ClosingSteps::for(
                array_merge(...array_map(static fn (Step $step): array => $step->opens, $steps)),
                $brief->owner,
                array_merge(...array_map(static fn (Step $step): array => $step->after, $part->steps)),
            ),
        ];
    }

    private static function plannedJob(
        Brief $brief,
        JobContext $context,
        Machine $machine,
        PathDraft $draft,
    ): PlannedJob {
        return new PlannedJob(
            $brief->title,
            $context->goal,
            $brief->owner,
            $machine->title,
            $machine->model?->id,
            $machine->kind->value,
            $context->kind()->wantsSystem() ? $context->system?->name : null,
            $brief->edition,
            $context->image?->name,
            $draft->stick,
        );
    }

    private static function draft(JobContext $context): PathDraft
    {
        return match ($context->goal) {
            JobKind::CleanInstall, JobKind::FirstPowerOn, JobKind::DriveSwap => InstallPath::draft($context),
            JobKind::MediaOnly => MediaOnlyPath::draft($context),
            JobKind::FactoryRestore => FactoryRestorePath::draft($context),
            JobKind::FirmwareUpdate => FirmwareUpdatePath::draft($context),
            JobKind::CardSwap => CardSwapPath::draft($context),
            JobKind::Repair => RepairPath::draft($context),
            JobKind::CableRestore => CableRestorePath::draft($context),
            JobKind::Upgrade => UpgradePath::draft($context),
        };
    }

    /**
     * Each fact is asked for once, by the part that needs it most.
     *
     * @param  list<Question>  $questions
     * @return list<Question>
     */
    private static function distinct(array $questions): array
    {
        usort($questions, static fn (Question $a, Question $b): int => $b->weight <=> $a->weight);
        $distinct = [];
        foreach ($questions as $question) {
            $distinct[$question->fact] ??= $question;
        }

        return array_values($distinct);
    }

    /**
     * @param  list<Blocker>  $blockers
     * @return list<Blocker>
     */
    private static function once(array $blockers): array
    {
        $once = [];
        foreach ($blockers as $blocker) {
            $once["{$blocker->id} {$blocker->reason}"] = $blocker;
        }

        return array_values($once);
    }

    /**
     * Each fact once.
     *
     * @param  list<Assumption>  $assumed
     * @return list<Assumption>
     */
    private static function assumed(array $assumed): array
    {
        return array_values(array_column($assumed, null, 'fact'));
    }

    /**
     * @param  list<Question>  $questions heaviest first
     * @return list<Question>
     */
    private static function heaviest(array $questions): array
    {
        return array_slice($questions, 0, self::FIRST_QUESTIONS);
    }

    /** @return list<string> */
    private static function contradictions(Machine $machine): array
    {
        return array_map(static fn (Contradiction $one): string => $one->spoken(), $machine->facts->contradictions);
    }
}
