<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Encryption\EncryptionQuestions;
use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Assessment\InstallWish;
use Cobblestone\Assessment\Requirements;
use Cobblestone\Assessment\Route\RouteAdvice;
use Cobblestone\Assessment\Route\RouteLadder;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Catalogue\Rung;
use Cobblestone\Job\DriveFate;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\OwnersLoss;
use Cobblestone\Job\OwnersWord;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Machine;
use Cobblestone\Media\MediaPlan;
use Cobblestone\Media\MediaPlanner;
use Cobblestone\Media\MediaWish;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\Acceptance;
use Cobblestone\Tuning\ProofScope;
use Cobblestone\Tuning\ProofSubject;

/** What a repair asks of its parts: safeguards, requirements, media, questions and proof. */
final class RepairParts
{
    public static function safeguards(JobContext $context, ?Drive $drive): Safeguards
    {
        return SafeguardPlanner::plan(
            $context,
            $drive,
            [],
            static fn (bool $keep): EncryptionIntent => new EncryptionIntent(true, [Trigger::Loader], 2, $keep),
            true,
        );
    }

    public static function requirements(Machine $machine, JobContext $context, ?Drive $drive): Requirements
    {
        return Requirements::assess(
            new InstallWish($machine, $context->system(), $context->image, $drive, $context->brief->edition),
            $context->policy->school('bypass'),
        );
    }

    /** What a rung wants to know and the bench works out, by what somebody has to say for it. */
    private const WORKED_OUT = [
        'present.build_reaches' => ['present.build'],
        'image.matches' => ['present.build', 'present.edition', 'present.language'],
    ];

    /**
     * What would settle the way, and what the bench needs to work the rest out by itself: never asked is what it can
     * compare (rule A3).
     *
     * @return list<Question>
     */
    public static function questions(RouteLadder $ladder, FactSheet $known): array
    {
        $wanted = $asked = [];
        foreach ($ladder->wanted($known) as $fact) {
            array_push($wanted, ...array_filter(
                self::WORKED_OUT[$fact] ?? [],
                static fn (string $one): bool => $known->get($one)->isUnknown(),
            ));
        }
        foreach ($ladder->asked($known) as $one) {
            $asked = [...$asked, ...isset(self::WORKED_OUT[$one->fact]) && $wanted !== [] ? [] : [$one]];
        }
        $besides = array_map(
            static fn (string $fact): Question => FactQuestion::about(
                $fact,
                'which way is the gentlest that works',
                'A3',
                80,
            ),
            array_values(array_unique($wanted)),
        );

        return [
            ...array_map(
                static fn (Question $one, int $index): Question => new Question(
                    $one->fact,
                    $one->text,
                    $one->options,
                    $one->decides,
                    'A3',
                    95 - $index,
                    $index === 0 ? [Act::Repair, Act::OpenMachine] : [],
                ),
                $asked,
                array_keys($asked),
            ),
            ...$besides,
        ];
    }

    public static function media(Rung $rung, JobContext $context, Machine $machine): ?MediaPlan
    {
        if (! $rung->media || $context->image === null) {
            return null;
        }
        $sticks = $context->catalogue->sticks($context->brief->sticks);

        return MediaPlanner::plan(
            MediaWish::without($machine, $context->image, $sticks, $context->policy)
                ->on($context->host(), $context->system?->name),
        );
    }

    /**
     * @param  list<Step>  $key
     * @param  list<Question>  $questions
     */
    public static function contributions(
        Rung $rung,
        Safeguards $protection,
        array $key,
        Contribution $media,
        RouteAdvice $advice,
        array $questions,
    ): Contribution {
        // What writes nothing risks nothing, and a machine that stays dead cannot be copied anyway.
        $backup = $rung->writes ? $protection->backup->contribution : new Contribution;
        $sealed = $rung->id === 'hardware' ? [] : self::howProtected($protection);
        $protecting = (new Contribution($key, questions: $sealed))
            ->and($backup)
            ->and($protection->health->contribution)
            ->and($protection->memoryContribution());

        return $protecting->and($media)
            ->and(new Contribution(
                decisions: [$advice->decision],
                questions: $questions,
                gather: RepairSteps::gather($rung),
                initial: [PathFact::STICK_OUT, PathFact::DRIVERS_FETCHED],
                blockers: self::blockers($advice, $rung),
            ));
    }

    /**
     * While nobody knows how the drive is protected, recovery tools may stop at its key: that is asked, and shuts.
     *
     * @return list<Question>
     */
    private static function howProtected(Safeguards $protection): array
    {
        $about = ['drive.encryption', EncryptionQuestions::UNTOLD];

        return array_values(array_filter(
            $protection->encryption->contribution->questions,
            static fn (Question $one): bool => in_array($one->fact, $about, true),
        ));
    }

    /**
     * @return list<Step>
     */
    public static function first(
        Machine $machine,
        ?Drive $drive,
        JobContext $context,
        Rung $rung,
        Safeguards $protection,
    ): array {
        return IntakeSteps::first(
            $machine,
            OwnersWord::step(
                new OwnersLoss(DriveFate::Stays, $drive),
                $context->brief->owner,
                $rung->writes ? $protection->backup : null,
            ),
        );
    }

    public static function proof(Machine $machine, JobContext $context): Step
    {
        return Acceptance::step(
            new ProofSubject($machine, $context->system(), $context->brief->edition),
            [PathFact::REPAIR_DONE],
            ProofScope::System,
        );
    }

    /** @return list<Blocker> */
    private static function blockers(RouteAdvice $advice, Rung $rung): array
    {
        $standing = array_column($advice->ladder, 'standing', 'id')[$rung->id] ?? 'out';
        if ($standing === 'out') {
            return [
                Blocker::stop(
                    'no-way',
                    'No way on the ladder can work as things stand; see why beside each of them.',
                    'A3',
                    Door::page('assessment', 'Correct what a way is out for, where it is wrong; else give it back, and '
                        .'say that it cannot be mended here.'),
                ),
            ];
        }
        if ($rung->path !== null && $standing === 'recommended') {
            $goal = $rung->path;

            return [Blocker::stop('other-kind', "Nothing gentler is left than \"{$rung->title}\": that is a job of "
                .'its own kind.', 'A3', Door::kind($goal), ["route: {$rung->id}"])];
        }

        return [];
    }
}
