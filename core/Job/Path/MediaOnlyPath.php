<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Drivers\DriverByHand;
use Cobblestone\Drivers\DriverPlan;
use Cobblestone\Drivers\DriverPlanner;
use Cobblestone\Findings\AnswersFound;
use Cobblestone\Findings\Findings;
use Cobblestone\Findings\Layouts;
use Cobblestone\Install\AnswerFile;
use Cobblestone\Install\AnswersStep;
use Cobblestone\Install\FirstStart;
use Cobblestone\Job\DrawnLayouts;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Machine\Kind;
use Cobblestone\Media\MediaPlan;
use Cobblestone\Media\MediaPlanner;
use Cobblestone\Media\MediaWish;
use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;
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
        $system = $context->system();
        $drivers = $context->machine->kind === Kind::Any
            ? null
            : DriverPlanner::plan($context->machine, $system, $context->catalogue->drivers(), $context->policy);
        $media = MediaPlanner::plan((new MediaWish(
            $context->machine,
            $context->image(),
            $context->catalogue->sticks($context->brief->sticks),
            $context->policy,
            $drivers?->offlineSize() ?? Bytes::of(0),
            count($drivers->offline ?? []),
        ))->on($context->host(), $system->name));
        [$policy, $brief] = [$context->policy, $context->brief];
        $values = AnswerFile::values($system, $brief->firstBoot, $policy, $brief->edition, []);
        $raw = $media->mode === WriteMode::Raw;
        $file = AnswerFile::of($system, ! $raw, $policy, $values);
        $byHand = $drivers?->byHand === true ? new DriverByHand($context->machine, $raw) : null;
        $list = self::answers($context, $file);
        $gather = [...$media->contribution->gather, ...$byHand?->contribution()->gather ?? []];
        $fetch = self::fetching($drivers);
        $steps = [
            IntakeSteps::gather($gather),
            ...$fetch,
            ...AnswerFile::readBackLast([
                ...array_map(self::told(...), $media->contribution->steps),
                ...$file->contribution->steps,
                ...array_slice($byHand?->contribution()->steps ?? [], 0, 1),
            ]),
            ...array_filter([$list]),
            self::shelve($media, $context, [
                ...$byHand === null ? [] : [PathFact::DRIVER_BY_HAND],
                ...$list === null ? [] : [PathFact::ANSWERS_LISTED],
            ]),
        ];
        $known = [...$fetch === [] ? [PathFact::DRIVERS_FETCHED] : [], PathFact::TAKEN_IN];

        return new PathDraft(
            (new Contribution($steps, initial: $known))->and(new Contribution(
                [],
                [
                    ...$media->contribution->decisions,
                    ...$file->contribution->decisions,
                    ...$drivers?->contribution->decisions ?? [],
                ],
                [...$media->contribution->questions, ...$drivers?->contribution->questions ?? []],
                $gather,
                [],
                $media->contribution->blockers,
            )),
            new Findings(
                drivers: $drivers?->found() ?? [],
                answers: $file->profile === null ? null : new AnswersFound(
                    $system->id,
                    $file->profile->path,
                    $file->profile->format,
                    $values,
                ),
            ),
            new Layouts(DrawnLayouts::stick($media)),
            $media->stick?->name,
            $context->wanted($media),
            $media->files,
        );
    }

    /** @return list<Step> the drivers that travel are laid ready; what is installed from them comes at the machine */
    private static function fetching(?DriverPlan $drivers): array
    {
        return $drivers === null || $drivers->offline === [] ? [] : array_values(array_filter(
            $drivers->contribution->steps,
            static fn (Step $step): bool => $step->bringsAbout(PathFact::DRIVERS_FETCHED),
        ));
    }

    /** What this job answers at the first start, as a list that goes along; null where nobody has chosen anything. */
    private static function answers(JobContext $context, AnswerFile $file): ?Step
    {
        $chosen = $context->brief->firstBoot->toArray() !== [] || $file->profile !== null;
        $start = new FirstStart(
            $context->system(),
            $context->policy,
            $context->brief->firstBoot,
            '',
            $file->profile->answers ?? [],
        );
        $asked = AnswersStep::of($context->system(), $context->policy->school('auto_encryption'), $start->answers());

        return ! $chosen || $asked->rows === [] ? null : new Step(
            'hand-over.answers',
            Stage::HandOver,
            'List of answers goes along',
            Presence::Hands,
            Estimate::minutes(0.5, 1, 3),
            ['Print this list and put it with the stick: whoever starts the new system reads from it.'],
            before: [PathFact::STICK_PROVEN],
            after: [PathFact::ANSWERS_LISTED],
            needs: ['hands'],
            because: [new Reason('These are the questions this system asks, and what this job answers.', 'I4')],
            rows: $asked->rows,
        );
    }

    /** @param  list<string>  $waits  what goes along and is made first */
    private static function shelve(MediaPlan $media, JobContext $context, array $waits): Step
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
            before: [PathFact::STICK_PROVEN, ...$waits],
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
