<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Findings\Layouts;
use Cobblestone\Job\DrawnLayouts;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Media\MediaPlan;
use Cobblestone\Media\MediaPlanner;
use Cobblestone\Media\MediaWish;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** A stick and nothing else, for this machine or for any (rule J1). */
final class MediaOnlyPath
{
    public static function draft(JobContext $context): PathDraft
    {
        $media = MediaPlanner::plan(MediaWish::without(
            $context->machine,
            $context->image(),
            $context->catalogue->sticks($context->brief->sticks),
            $context->policy,
        )->on($context->host(), $context->system?->name));
        $steps = [
            IntakeSteps::gather($media->contribution->gather),
            ...array_map(self::told(...), $media->contribution->steps),
            self::shelve($media, $context),
        ];

        return new PathDraft(
            (new Contribution($steps, initial: [PathFact::DRIVERS_FETCHED, PathFact::TAKEN_IN]))->and(
                new Contribution(
                    [],
                    $media->contribution->decisions,
                    $media->contribution->questions,
                    $media->contribution->gather,
                    [],
                    $media->contribution->blockers,
                ),
            ),
            layouts: new Layouts(DrawnLayouts::stick($media)),
            stick: $media->stick?->name,
            medium: $context->wanted($media),
        );
    }

    private static function shelve(MediaPlan $media, JobContext $context): Step
    {
        return new Step(
            'hand-over.shelve',
            Stage::HandOver,
            'Label and shelve',
            Presence::Hands,
            Estimate::minutes(1, 2, 5),
            [
                'Label: image, version, day, by whom, read back and equal'.
                ($media->label === null ? '' : ", volume `{$media->label}`").
                '.',
                $context->machine->kind->title() === 'any machine'
                    ? 'It says which machines it starts: those by UEFI'.
                        ($context->image()->hasLegacyLoader() ? ' and those that start the old way.' : ' only.')
                    : "Made for {$context->machine->title}.",
            ],
            before: [PathFact::STICK_PROVEN],
            after: [PathFact::SHELVED, PathFact::HANDED_OVER],
            needs: ['hands'],
            acts: [Act::HandOver],
            done: DoneWords::of('It was labelled and shelved', 'shelved'),
            because: [new Reason('"What is this stick?" is answered from its label in seconds.', 'M12')],
            evidence: [new Evidence('shelved', 'Where it lies', 'text')],
        );
    }

    /** Here the stick itself is what is handed over, so its making is told. */
    private static function told(Step $step): Step
    {
        return match ($step->id) {
            'image.check' => $step->saying(DoneWords::of('The image was checked')),
            'media.write' => $step->saying(DoneWords::of('The stick was written')),
            'media.verify' => $step->saying(DoneWords::of('The stick was read back, and is equal')),
            default => $step,
        };
    }
}
