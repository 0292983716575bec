<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\FactoryImage;
use Cobblestone\Assessment\Ownership;
use Cobblestone\Assessment\SupportEnds;
use Cobblestone\Firmware\PortPower;
use Cobblestone\Firmware\WayIn;
use Cobblestone\Install\FirstBoot;
use Cobblestone\Install\TargetDrive;
use Cobblestone\Job\DriveFate;
use Cobblestone\Job\GatherList;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\OwnersWord;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Kind;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;
use Cobblestone\Tuning\Acceptance;

/** The maker's own image back onto its drive; everything since purchase is lost (rules J1, A3 rung 9). */
final class FactoryRestorePath
{
    public static function draft(JobContext $context): PathDraft
    {
        [$machine, $system, $brief] = [$context->machine, $context->system(), $context->brief];
        $target = TargetDrive::choose($machine);
        $protection = SafeguardPlanner::plan($context, $target->drive, $target->others, static fn (bool $keep): EncryptionIntent => new EncryptionIntent(false, [], 0, $keep), true);
        [$owner, $ownerWaits] = Ownership::assess($machine, true, $brief->owner);
        $way = $machine->fact('factory.image');
        $questions = $way->isUnknown() ? [self::question()] : [];
        $blockers = $way->is('no') ? [Blocker::stop('factory-gone', 'The maker\'s factory image does not answer any '
            .'more. A clean install from a stick is what is left (kind of job: clean '
            .'install).', 'A3', ['factory.image = no'])] : array_filter([FactoryImage::contradiction($machine, $target->drive)]);
        // The maker's image knows its own drive: only among several has somebody to say which.
        $which = array_values(array_filter($target->questions, static fn (Question $question): bool => $question->fact === TargetDrive::FACT));
        $gates = $protection->gates();
        $power = PortPower::plan($machine, Duration::minutes(75));
        $first = FirstBoot::plan($system, [], false, $context->policy->school('auto_encryption'), 'The maker\'s '
            .'image brings the drivers of the machine as it was sold.');
        $all = $protection->contribution()->and($owner)->and($power)->and($first)
            ->and(new Contribution(decisions: [self::decision($way->is('media'))], questions: [...$questions, ...$which], gather: GatherList::forMachine($machine), initial: [PathFact::STICK_OUT, PathFact::DRIVERS_COMPLETE, PathFact::ACTIVATED], blockers: [...$blockers, ...$target->blockers]));
        $steps = [
            ...IntakeSteps::first($machine, OwnersWord::step(DriveFate::Erased, $target->drive, $brief->owner, $protection->backup)),
            IntakeSteps::gather($all->gather),
            ...$all->steps,
            self::detach(),
            self::start($context, $way->is('media')),
            ...self::restore($machine->kind, $target->drive, $brief->owner, $gates, [...$protection->erasingWaitsFor(), ...$ownerWaits]),
            Acceptance::step($machine, $system, $brief->edition, $target->drive, [PathFact::UPDATED, PathFact::ONLINE]),
        ];

        return new PathDraft((new Contribution($steps))->and(new Contribution([], $all->decisions, $all->questions, $all->gather, $all->initial, $all->blockers)),
            assessment: [...$protection->toArray(), 'support' => [SupportEnds::of($system, $context->today())]]);
    }

    private static function question(): Question
    {
        $decides = 'how the restore is started, and whether it can be done at all';

        return FactQuestion::about('factory.image', $decides, 'A3', 70, [Act::StartMedium, Act::Erase]);
    }

    private static function decision(bool $medium): Decision
    {
        return new Decision('install.factory', 'How the factory image comes '
            .'back', $medium ? 'from the maker\'s recovery '
            .'medium' : 'from the running system, or by its key at '
            .'power-on', ['It brings the maker\'s own functions and needs no '
            .'network.'], ['clean install' => ['Functions that exist only in the factory image would be '
            .'gone.']], [], 'A3');
    }

    private static function detach(): Step
    {
        return new Step('protect.detach-all', Stage::Protect, 'Detach everything', Presence::Hands, Estimate::minutes(0.5, 2, 6),
            ['Unplug every stick, card, dock, drive and printer. Only charger, keyboard and screen stay.'],
            before: [PathFact::SHUT_DOWN], after: ['protect.detached-all'], needs: ['hands'],
            because: [new Reason('A factory restore may take any drive it finds for its own.', 'A3')],
        );
    }

    private static function start(JobContext $context, bool $medium): Step
    {
        $way = WayIn::recovery($context->machine)->ways[0] ?? null;
        $lines = match (true) {
            $medium => ['Plug in the maker\'s recovery medium for exactly this '
                .'model.', ...WayIn::menu($context->machine)->instructions('the list of devices')],
            $way !== null && $way->isHeld() => ["Fully off. Hold `{$way->key}`, press `{$way->press}` once, hold "
                ."about {$way->seconds} s, let go at the maker's sign."],
            $way !== null => ["Power on and tap `{$way->key}` until the recovery page stands."],
            default => ['In the running system: its settings, then recovery, then everything '
                .'removed.', 'Not starting? The maker\'s key for recovery, tapped at power-on; look it up by exact '
                .'model.'],
        };

        return new Step('boot.recovery', Stage::Boot, 'Open the '
            .'recovery', Presence::Hands, Estimate::minutes(1, 4, 15), $lines,
            before: ['protect.detached-all', PathFact::POWER_SAFE, PathFact::GATHERED], after: [PathFact::RECOVERY_STARTED], needs: ['hands', 'slot', 'power'], acts: [Act::StartMedium],
            because: [new Reason($medium ? 'The image on the drive is damaged; the medium brings it.' : 'The image '
                .'stands on the drive itself.', 'A3')],
            waiting: new Waiting(['a black screen for a '
                .'minute', 'touch that does not answer: use the '
                .'keyboard'], 'Shut down fully, and press earlier or longer.', 1),
            boots: [BootEvent::start(Wants::Recovery, BootEvent::BY_KEY)],
            opensWith: Wants::Recovery,
        );
    }

    /**
     * @param  list<\Cobblestone\Runbook\Gate>  $gates
     * @param  list<string>  $waits
     * @return list<Step>
     */
    private static function restore(Kind $kind, ?Drive $drive, string $owner, array $gates, array $waits): array
    {
        return [
            new Step('target.restore', Stage::Target, 'Start the '
                .'restore', Presence::Hands, Estimate::minutes(0.5, 2, 6),
                ['Choose to remove everything, the whole drive.', 'Read what it lists as removed before going on.'],
                before: [PathFact::RECOVERY_STARTED, PathFact::OWNER_AGREED, PathFact::POWER_SAFE, ...$waits], after: [PathFact::TARGET_ERASED], needs: ['hands'], acts: [Act::Erase], gates: $gates,
                because: [new Reason('From here on everything since purchase is gone.', 'A3')],
                cautions: ['Everything on the drive is lost. Deleting is not secure erasure.'],
                done: DoneWords::in(SheetPart::Drive, 'Everything since purchase was removed from '.($drive?->title() ?? 'the internal drive').'. Deleting is not secure erasure.'),
                confirmation: new Confirmation($drive?->title() ?? 'the internal '
                    .'drive', $drive->size->count ?? 0, $drive?->hasProof() === true ? $drive->serial : null, 'everything since purchase', $owner, typed: $drive?->hasProof() === true),
            ),
            new Step('install.factory', Stage::Install, 'Factory restore', Presence::StayNear, Estimate::minutes(20, 45, 120), [$kind->leftAlone().' Paperwork beside it is fine.'],
                before: [PathFact::TARGET_ERASED], after: [PathFact::SYSTEM_INSTALLED], needs: ['slot', 'power'],
                done: DoneWords::of('The maker\'s own image was put back'), acts: [Act::WriteSystem],
                because: [new Reason('It writes the drive from its own image; cutting it short leaves neither '
                    .'system.', 'J3, I5')],
                waiting: new Waiting(['several restarts', 'the maker\'s sign for ten minutes at a '
                    .'time'], 'Wait the same time once more; only then the recovery medium.', 3),
                boots: [BootEvent::change(['target' => 'installed']), BootEvent::start(Wants::System)],
            ),
        ];
    }
}
