<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Ownership;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Assessment\SupportEnds;
use Cobblestone\Brief\Brief;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Findings\Findings;
use Cobblestone\Install\FirstBoot;
use Cobblestone\Install\FirstStart;
use Cobblestone\Job\DriveFate;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\OwnersLoss;
use Cobblestone\Job\OwnersWord;
use Cobblestone\Job\WhichMachine;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\CableRecovery;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\Acceptance;
use Cobblestone\Tuning\ProofSubject;

/**
 * A sealed machine over a cable from a helper: revive before restore, and restore only once nothing is kept (rules
 * J1, F7).
 */
final class CableRestorePath
{
    /** The fact that says whether the image is the one for exactly this model. */
    public const MATCHES = 'image.for_model';

    public static function draft(JobContext $context): PathDraft
    {
        [$machine, $system, $brief, $image] = [
            $context->machine,
            $context->system(),
            $context->brief,
            $context->image(),
        ];
        $recovery = $machine->model?->recovery;
        $protection = self::safeguards($context);
        $tried = explode(', ', (string) $machine->fact('tried')->spoken());
        $restores = $protection->backup->found->keep === 'nothing' || in_array('revive', $tried, true);
        [$owner, $ownerWaits] = Ownership::assess($machine, true, $brief->owner);
        $gates = $protection->gates();
        $first = $restores
            ? self::firstBoot($context)
            : new Contribution(initial: [PathFact::UPDATED, PathFact::ONLINE]);
        [$questions, $blockers] = $image->kind === 'device-restore'
            ? self::forThisModel($machine, $image)
            : [[], self::wrongImage($image)];
        $all = self::contributions($restores, $protection, $owner, $first, $recovery, $blockers)
            ->and(new Contribution(questions: [
                ...$questions,
                ...(new WhichMachine($machine, $brief->owner))->questions([Act::Erase, Act::Repair]),
            ]));
        $steps = [
            ...self::first($machine, $restores, $brief, $protection),
            IntakeSteps::gather($all->gather),
            ...$all->steps,
            CableSteps::helper($recovery, $image),
            CableSteps::start($context),
            ...(
                $restores
                    ? CableSteps::restore($context, $gates, [...$protection->erasingWaitsFor(), ...$ownerWaits])
                    : [CableSteps::revive($context, $ownerWaits)]
            ),
            self::proof($machine, $system, $brief, $restores),
        ];

        return new PathDraft(
            $all->withSteps($steps),
            new Findings(...$protection->found(), support: [SupportEnds::of($system, $context->today())]),
        );
    }

    private static function firstBoot(JobContext $context): Contribution
    {
        return FirstBoot::plan(
            new FirstStart(
                $context->system(),
                $context->policy,
                $context->brief->firstBoot,
                'The restore image is made for exactly this model.',
            ),
            [],
            false,
        );
    }

    private static function safeguards(JobContext $context): Safeguards
    {
        return SafeguardPlanner::plan(
            $context,
            null,
            [],
            static fn (bool $keep): EncryptionIntent => new EncryptionIntent(false, [], 0, $keep),
            false,
        );
    }

    /**
     * @return list<Blocker>
     */
    private static function wrongImage(Image $image): array
    {
        return [
            Blocker::stop(
                'image-kind',
                "{$image->name} is no restore image of a sealed machine.",
                'F7',
                Door::choice('image', 'Choose the restore image for exactly this model.'),
                ["kind: {$image->kind}"],
            ),
        ];
    }

    /** @param  list<Blocker>  $blockers */
    private static function contributions(
        bool $restores,
        Safeguards $protection,
        Contribution $owner,
        Contribution $first,
        ?CableRecovery $recovery,
        array $blockers,
    ): Contribution {
        return (
            $restores
                ? $protection->backup->contribution
                : new Contribution(
                    questions: $protection->backup->contribution->questions,
                    initial: [PathFact::SHUT_DOWN],
                )
        )
            ->and($owner)
            ->and($first)
            ->and(new Contribution(
                decisions: [self::decision($restores, $protection->backup->found->keep === 'nothing')],
                gather: CableSteps::gather($recovery),
                initial: [PathFact::STICK_OUT, PathFact::DRIVERS_COMPLETE, PathFact::ACTIVATED, PathFact::POWER_SAFE],
                blockers: $blockers,
            ));
    }

    /**
     * @return list<Step>
     */
    private static function first(Machine $machine, bool $restores, Brief $brief, Safeguards $protection): array
    {
        return IntakeSteps::first(
            $machine,
            OwnersWord::step(
                new OwnersLoss($restores ? DriveFate::Erased : DriveFate::Stays, null),
                $brief->owner,
                $restores ? $protection->backup : null,
            ),
        );
    }

    private static function proof(Machine $machine, SystemProfile $system, Brief $brief, bool $restores): Step
    {
        return Acceptance::step(
            new ProofSubject($machine, $system, $brief->edition),
            $restores ? [PathFact::UPDATED, PathFact::SYSTEM_INSTALLED] : [PathFact::REPAIR_DONE],
        );
    }

    /**
     * A restore image is made for one model and for no sibling: what nobody knows of the two is asked for, and shuts.
     *
     * @return array{0: list<Question>, 1: list<Blocker>}
     */
    private static function forThisModel(Machine $machine, Image $image): array
    {
        [$made, $model] = [$image->models, $machine->model?->id];
        if ($made !== [] && $model !== null) {
            return in_array($model, $made, true) ? [[], []] : [[], [self::otherModel($machine, $image, [
                'image models: '.implode(', ', $made),
                "model = {$model}",
            ])]];
        }
        $said = $machine->fact(self::MATCHES);
        $text = FactQuestion::text(self::MATCHES, ['image' => $image->name, 'machine' => $machine->title]);
        $asked = FactQuestion::about(
            self::MATCHES,
            'whether it may be restored with it at all: the image of a sibling is refused half-way, or leaves it dead',
            'F7, U9',
            86,
            [Act::Erase, Act::Repair, Act::WriteSystem],
        )->worded($text);

        return match (true) {
            $said->is('yes') => [[], []],
            $said->is('no') => [[], [self::otherModel($machine, $image, [self::MATCHES.' = no'])]],
            default => [[$asked], []],
        };
    }

    /** @param  non-empty-list<string>  $facts */
    private static function otherModel(Machine $machine, Image $image, array $facts): Blocker
    {
        $for = $image->models === [] ? 'for another model' : 'for '.implode(', ', $image->models);

        return Blocker::stop(
            'image-model',
            "{$image->name} is made {$for}, this is {$machine->title}.",
            'F7',
            Door::choice('image', 'Choose the image for exactly this model.'),
            $facts,
        );
    }

    private static function decision(bool $restores, bool $nothing): Decision
    {
        return $restores
            ? new Decision(
                'install.cable',
                'Over the cable',
                'restore, which erases',
                [$nothing ? 'Nothing has to be kept.' : 'Reviving was tried and did not help.'],
                ['revive' => [$nothing ? 'A clean state is wanted.' : 'Tried already.']],
                [],
                'F7',
            )
            : new Decision(
                'install.cable',
                'Over the cable',
                'revive first, which keeps the data',
                [
                    'It writes the system anew and leaves the owner\'s data where it is.',
                    'Marked as tried without success, the path becomes a restore.',
                ],
                ['restore' => ['It erases everything.']],
                [],
                'F7',
            );
    }
}
