<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\FactoryImage;
use Cobblestone\Assessment\Ownership;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Assessment\SupportEnds;
use Cobblestone\Findings\Findings;
use Cobblestone\Firmware\PortPower;
use Cobblestone\Install\FirstBoot;
use Cobblestone\Install\FirstStart;
use Cobblestone\Install\TargetDrive;
use Cobblestone\Job\DriveFate;
use Cobblestone\Job\GatherList;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\OwnersLoss;
use Cobblestone\Job\OwnersWord;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Assumption;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\JobKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;
use Cobblestone\Tuning\Acceptance;
use Cobblestone\Tuning\ProofSubject;

/** The maker's own image back onto its drive; everything since purchase is lost (rules J1, A3 rung 9). */
final class FactoryRestorePath
{
    public static function draft(JobContext $context): PathDraft
    {
        [$machine, $system, $brief] = [$context->machine, $context->system(), $context->brief];
        $target = TargetDrive::choose($machine);
        $protection = self::safeguards($context, $target);
        [$owner, $ownerWaits] = Ownership::assess($machine, true, $brief->owner);
        $waits = [...$protection->erasingWaitsFor(), ...$ownerWaits];
        $way = $machine->fact('factory.image');
        $first = self::firstBoot($context);
        $gentler = GentlerParts::of($context, $protection, null, $target->drive);
        $all = $protection->contribution()
            ->and($owner)
            ->and(PortPower::plan($machine, Duration::minutes(75)))
            ->and($first)
            ->and(GentlerParts::contribution($gentler, $context->goal))
            ->and(self::contribution($way, $machine, $target));
        [$drive, $backup] = [$target->drive, $protection->backup];
        $word = OwnersWord::step(new OwnersLoss(DriveFate::Erased, $drive), $brief->owner, $backup, gentler: $gentler);
        $steps = [
            ...IntakeSteps::first($machine, $word),
            IntakeSteps::gather($all->gather),
            ...$all->steps,
            FactorySteps::detach(),
            FactorySteps::start($context, $way->is('media')),
            ...FactorySteps::restore($machine->kind, $target->drive, $brief->owner, $protection->gates(), $waits),
            Acceptance::step(
                new ProofSubject($machine, $system, $brief->edition, $target->drive),
                [PathFact::UPDATED, PathFact::ONLINE],
            ),
        ];

        return new PathDraft(
            $all->withSteps($steps),
            new Findings(
                ...$protection->found(),
                support: [SupportEnds::of($system, $context->today())],
                gentler: $gentler?->found(),
            ),
        );
    }

    /** @return list<Question> the maker's image knows its own drive: only among several has somebody to say which */
    private static function which(TargetDrive $target): array
    {
        return array_values(array_filter(
            $target->questions,
            static fn (Question $question): bool => $question->fact === TargetDrive::FACT,
        ));
    }

    private static function firstBoot(JobContext $context): Contribution
    {
        return FirstBoot::plan(
            new FirstStart(
                $context->system(),
                $context->policy,
                $context->brief->firstBoot,
                'The maker\'s image brings the drivers of the machine as it was sold.',
            ),
            [],
            false,
        );
    }

    /** @return list<Blocker> */
    private static function blockers(Machine $machine, Fact $way, TargetDrive $target): array
    {
        if (! $way->is('no')) {
            return array_filter([FactoryImage::contradiction($machine, $target->drive)]);
        }

        return [
            Blocker::stop(
                'factory-gone',
                'The maker\'s factory image does not answer any more.',
                'A3',
                Door::kind(JobKind::installing()),
                ['factory.image = no'],
            ),
        ];
    }

    private static function safeguards(JobContext $context, TargetDrive $target): Safeguards
    {
        return SafeguardPlanner::plan(
            $context,
            $target->drive,
            $target->others,
            static fn (bool $keep): EncryptionIntent => new EncryptionIntent(false, [], 0, $keep),
            true,
        );
    }

    private static function contribution(Fact $way, Machine $machine, TargetDrive $target): Contribution
    {
        return new Contribution(
            decisions: [self::decision($way->is('media'))],
            questions: [...($way->isUnknown() ? [self::question()] : []), ...self::which($target)],
            gather: GatherList::forMachine($machine),
            initial: [PathFact::STICK_OUT, PathFact::DRIVERS_COMPLETE, PathFact::ACTIVATED],
            blockers: [...self::blockers($machine, $way, $target), ...$target->blockers],
            assumed: $machine->internalDrives() !== [] ? [] : [new Assumption(
                'target.drive',
                'The drive that the maker\'s recovery writes is the one that is meant: nobody has read which are '
                    .'inside.',
                'A3, K2',
                Door::reading('lsblk', 'Read its drives.'),
            )],
        );
    }

    private static function question(): Question
    {
        $decides = 'how the restore is started, and whether it can be done at all';

        return FactQuestion::about('factory.image', $decides, 'A3', 70, [Act::StartMedium, Act::Erase]);
    }

    private static function decision(bool $medium): Decision
    {
        return new Decision(
            'install.factory',
            'How the factory image comes back',
            $medium ? 'from the maker\'s recovery medium' : 'from the running system, or by its key at power-on',
            ['It brings the maker\'s own functions and needs no network.'],
            ['clean install' => ['Functions that exist only in the factory image would be gone.']],
            [],
            'A3',
        );
    }

    public static function restoring(Kind $kind): Step
    {
        return new Step(
            'install.factory',
            Stage::Install,
            'Factory restore',
            Presence::StayNear,
            Estimate::minutes(20, 45, 120),
            [$kind->leftAlone().' Paperwork beside it is fine.'],
            before: [PathFact::TARGET_ERASED], after: [PathFact::SYSTEM_INSTALLED], needs: ['slot', 'power'],
            done: DoneWords::of('The maker\'s own image was put back'), acts: [Act::WriteSystem],
            because: [
                new Reason('It writes the drive from its own image; cutting it short leaves neither system.', 'J3, I5'),
            ],
            waiting: new Waiting(
                ['several restarts', 'the maker\'s sign for ten minutes at a time'],
                'Wait the same time once more; only then the recovery medium.',
                3,
            ),
            boots: [BootEvent::change(['target' => 'installed']), BootEvent::start(Wants::System)],
        );
    }
}
