<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Assessment\BackupPlan;
use Cobblestone\Assessment\EncryptionAssessment;
use Cobblestone\Assessment\Fitness;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Drivers\DriverPlanner;
use Cobblestone\Firmware\FirmwarePlanner;
use Cobblestone\Firmware\PortPower;
use Cobblestone\Install\FirstBoot;
use Cobblestone\Install\InstallPlanner;
use Cobblestone\Install\TargetDrive;
use Cobblestone\Machine\Contradiction;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Machine;
use Cobblestone\Media\MediaPlanner;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Fact;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Planner;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\Acceptance;

/** The one way from a brief to a path: every part contributes, the planner orders. */
final class JobPlanner
{
    /** Questions asked before the first path (rule A1); the rest follow as answers come in. */
    public const FIRST_QUESTIONS = 3;

    /**
     * @throws BriefFault
     * @throws \Cobblestone\Catalogue\UnknownEntry
     * @throws \Cobblestone\Runbook\OrderImpossible where contributions contradict each other
     */
    public static function plan(Brief $brief, Catalogue $catalogue, Policy $bench): Plan
    {
        $catalogue = $brief->emptyCatalogue ? Catalogue::none() : $catalogue;
        $policy = Policy::of([...$bench->schools(), ...$brief->policy]);
        if ($brief->goal !== 'clean-install') {
            throw BriefFault::at('goal', 'only "clean-install" can be planned so far.');
        }
        [$machine, $notes] = MachineBuilder::build($brief, $catalogue);
        $system = is_string($brief->system) ? $catalogue->system($brief->system) : new SystemProfile(SystemDefaults::system($brief->system));
        $image = self::image($brief, $catalogue, $machine);

        $target = TargetDrive::choose($machine);
        $backup = BackupPlan::plan($machine, $target->drive, $brief->backup, $brief->owner, $policy);
        $encryption = EncryptionAssessment::assess($machine, $target, $backup->somethingToKeep());
        $drivers = DriverPlanner::plan($machine, $system, $catalogue->drivers(), $policy);
        $media = MediaPlanner::plan($machine, $image, $catalogue->sticks($brief->sticks), $policy, $drivers->offlineSize(), count($drivers->offline));
        $firmware = FirmwarePlanner::plan($machine, $system, $image, $media->stick?->connector(), $policy, $encryption->firmwareWaits ? $backup->gates : []);
        $power = PortPower::plan($machine, InstallPlanner::stickStaysIn($system));
        $held = [...$backup->contribution->questions, ...$target->questions, ...$media->contribution->questions];
        $install = InstallPlanner::plan($machine, $system, $target, [...$backup->gates, ...self::answerGates($held)], [...$backup->erasingWaitsFor, ...$encryption->erasingWaitsFor()], $brief->owner);
        $cable = array_filter($machine->devices, static fn (Device $device): bool => str_contains($device->name, 'wired')) !== [];
        $firstBoot = FirstBoot::plan($system, $drivers->offlineFacts(), $cable);

        $all = $backup->contribution->and($encryption->contribution)->and($media->contribution)->and($power)->and($firmware)->and($install)->and($firstBoot)->and($drivers->contribution)
            ->and(self::imageQuestions($brief))
            ->and(new Contribution(gather: GatherList::forMachine($machine), blockers: Fitness::blockers($machine, $system, $image, $target->drive)));
        $steps = [
            ...IntakeSteps::first($machine, $target->drive, $brief->owner, $backup->keep === 'nothing'),
            IntakeSteps::gather($all->gather),
            ...$all->steps,
            Acceptance::step($machine, $system, $brief->edition, $target->drive),
        ];
        $steps = [...$steps, ...ClosingSteps::for(self::opened($steps), $brief->owner)];
        [$layouts, $layoutDecisions, $layoutBlockers] = Layouts::of($machine, $system, $target->drive, $media);

        return new Plan(
            job: [
                'title' => $brief->title, 'goal' => $brief->goal, 'owner' => $brief->owner, 'machine' => $machine->title, 'model' => $machine->model['id'] ?? null, 'kind' => $machine->kind->value,
                'system' => $system->name, 'edition' => $brief->edition, 'image' => $image->name, 'stick' => $media->stick?->name,
            ],
            blockers: [...$all->blockers, ...$layoutBlockers],
            questions: self::heaviest($all->questions),
            decisions: [...$all->decisions, ...$layoutDecisions],
            steps: Planner::order($steps, $all->initial, array_map(static fn (Question $question): string => Fact::answered($question->fact), $held)),
            gather: $all->gather,
            initial: $all->initial,
            layouts: $layouts,
            facts: $machine->facts->toArray(),
            notes: [...$notes, ...self::contradictions($machine)],
            defaults: $policy->toArray(),
        );
    }

    private static function image(Brief $brief, Catalogue $catalogue, Machine $machine): Image
    {
        if (is_string($brief->image)) {
            return $catalogue->image($brief->image);
        }
        $given = $brief->image;
        $kind = $machine->fact('image.kind')->value;
        if (! isset($given['kind']) && is_string($kind)) {
            $given['kind'] = $kind;
        }

        return new Image(SystemDefaults::image($given));
    }

    /**
     * What nobody knows yet holds the erasing back until it is answered.
     *
     * @param  list<Question>  $questions
     * @return list<Gate>
     */
    private static function answerGates(array $questions): array
    {
        return array_map(static fn (Question $question): Gate => new Gate("answer-{$question->fact}", Fact::answered($question->fact), "Answer first: {$question->text}", ''),
            array_values(array_filter($questions, static fn (Question $question): bool => $question->holds)));
    }

    private static function imageQuestions(Brief $brief): Contribution
    {
        if (is_string($brief->image) || isset($brief->image['kind']) || isset($brief->machine['facts']['image.kind'])) {
            return new Contribution;
        }

        return new Contribution(questions: [new Question('image.kind', 'What does the publisher call this image?', ['optical-hybrid' => 'an image to write to a stick as it is', 'raw' => 'a disk image'], 'how the stick is written; until then "to write as it is" is assumed', 'M3', 50)]);
    }

    /**
     * @param  list<Step>  $steps
     * @return list<PutBack>
     */
    private static function opened(array $steps): array
    {
        return array_merge(...array_map(static fn (Step $step): array => $step->opens, $steps));
    }

    /**
     * @param  list<Question>  $questions
     * @return list<Question>
     */
    private static function heaviest(array $questions): array
    {
        usort($questions, static fn (Question $a, Question $b): int => $b->weight <=> $a->weight);

        return array_slice($questions, 0, self::FIRST_QUESTIONS);
    }

    /** @return list<string> */
    private static function contradictions(Machine $machine): array
    {
        return array_map(static fn (Contradiction $one): string => $one->spoken(), $machine->facts->contradictions);
    }
}
