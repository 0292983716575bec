<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Brief\CardBlock;
use Cobblestone\Drivers\CardDriver;
use Cobblestone\Hardware\CardPower;
use Cobblestone\Hardware\OpenedCase;
use Cobblestone\Hardware\Screws;
use Cobblestone\Job\DriveFate;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\OwnersWord;
use Cobblestone\Machine\Kind;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;
use Cobblestone\Tuning\Acceptance;
use Cobblestone\Tuning\ProofScope;

/** One graphics card out, another in, with the old family's driver removed in between (rules J1, D6, H5). */
final class CardSwapPath
{
    public static function draft(JobContext $context): PathDraft
    {
        $card = $context->brief->card ?? throw BriefFault::at('card', 'name the card that comes in.');
        $machine = $context->machine;
        $drive = count($machine->internalDrives()) === 1 ? $machine->internalDrives()[0] : null;
        $protection = SafeguardPlanner::plan($context, $drive, [], static fn (bool $keep): EncryptionIntent => new EncryptionIntent(true, [Trigger::Card, Trigger::SecureBootState], 4, $keep), true);
        $driver = CardDriver::match($card, $context->system?->id, $machine->model?->id, $context->catalogue->drivers());
        $all = $protection->encryption->contribution->and($protection->health->contribution)->and($protection->memoryContribution())->and(CardPower::judge($machine, $card))->and(new Contribution(gather: [new GatherItem('screwdriver and a tray', 'the case is opened; screws out = screws in'), new GatherItem($card->new, 'with power leads of its own, not a shared one'), new GatherItem('stick or folder with the new driver', 'fetched before the network is cut')], initial: [PathFact::STICK_OUT, PathFact::BACKUP_SETTLED]));
        $steps = [
            ...IntakeSteps::first($machine, OwnersWord::step(DriveFate::Stays, $drive, $context->brief->owner, null)),
            IntakeSteps::gather($all->gather),
            ...$all->steps,
            $driver->fetch(),
            ...self::before($card),
            ...self::swap($card, $machine->kind),
            ...self::after($driver),
            Acceptance::step($machine, $context->system, $context->brief->edition, null, [PathFact::DRIVERS_COMPLETE, PathFact::CASE_CLOSED], ProofScope::System),
        ];

        return new PathDraft((new Contribution($steps))->and(new Contribution([], $all->decisions, $all->questions, $all->gather, $all->initial, $all->blockers)),
            assessment: ['encryption' => $protection->encryption->toArray(), 'health' => $protection->health->toArray()]);
    }

    /**
     * @return list<Step>
     */
    private static function before(CardBlock $card): array
    {
        return [
            new Step('network.offline', Stage::FetchDrivers, 'Go offline', Presence::Hands, Estimate::minutes(0.5, 1, 3), ['Unplug the network cable and switch the wireless off.'],
                before: [PathFact::DRIVERS_FETCHED], after: ['network.off'], needs: ['hands'], acts: [Act::ChangeOldSystem], because: [new Reason('Online, the system fetches a driver of its own choice in the middle of the swap.', 'D6')],
                opens: [new PutBack('network', 'Network switched off', 'The system would have fetched drivers by '
                    .'itself.', 'put-back.network')]),
            new Step('boot.safe-mode', Stage::Boot, 'Start in safe '
                .'mode', Presence::Hands, Estimate::minutes(2, 4, 10), ['Start the system in its safe '
                .'mode.', 'Asked for a recovery key? The owner types it.'],
                before: ['network.off', PathFact::ENCRYPTION_SETTLED, PathFact::OWNER_AGREED], after: [PathFact::SAFE_MODE], needs: ['hands', 'slot'], acts: [Act::ChangeOldSystem], because: [new Reason('In safe mode the old driver is not in use and can be removed whole.', 'D6')],
                boots: [BootEvent::start(Wants::System)]),
            new Step('drivers.remove-old', Stage::Hardware, 'Remove the old '
                .'driver', Presence::Hands, Estimate::minutes(3, 6, 15), ['Remove the old card\'s whole driver '
                .'family'.($card->old === null ? '' : " ({$card->old})").': driver, tools, control '
                .'page.', 'Shut down fully. Not: restart.'],
                before: [PathFact::SAFE_MODE], after: [PathFact::OLD_DRIVER_GONE, PathFact::SHUT_DOWN], needs: ['hands'],
                done: DoneWords::in(SheetPart::Drivers, 'The old card\'s driver was '
                    .'removed.'), acts: [Act::ChangeOldSystem], because: [new Reason('Left-overs of another family '
                    .'make black screens after the logo.', 'D6')]),
        ];
    }

    /**
     * @return list<Step>
     */
    private static function swap(CardBlock $card, Kind $kind): array
    {
        return [
            new Step('hardware.swap-card', Stage::Hardware, 'Swap the '
                .'card', Presence::Hands, Estimate::minutes(8, 15, 40),
                ['Press the slot\'s catch, take the old card out by its edge, into an anti-static '
                    .'bag.', "{$card->new}: length and slots measured, in until the catch clicks, screwed at the "
                    .'bracket.', 'Each power socket of the card its own lead of the '
                    .'supply.', 'Picture cable on the card, not on the board.'],
                before: [PathFact::OLD_DRIVER_GONE, PathFact::SHUT_DOWN, PathFact::MACHINE_IDENTIFIED], after: [PathFact::PART_FITTED], needs: ['hands', 'screwdriver'],
                done: DoneWords::of("The graphics card was exchanged for {$card->new}"), acts: [Act::OpenMachine, Act::FitPart],
                because: [new Reason('Supply and leads were compared before; length and slots are measured '
                    .'here.', 'H5, H1')],
                cautions: OpenedCase::cautions($kind),
                evidence: [Screws::out()]),
            new Step('boot.first', Stage::Boot, 'First start with the '
                .'card', Presence::Hands, Estimate::minutes(1, 3, 10), ['Start and see the card in the setup, then '
                .'let the system start.'],
                before: [PathFact::PART_FITTED], after: [PathFact::MEDIUM_STARTED], needs: ['hands', 'slot'], acts: [Act::FitPart],
                because: [new Reason('A card is seen before the case is closed.', 'H3')],
                waiting: new Waiting(['low resolution', 'flicker until its driver is in'], 'Black after the logo: '
                    .'cable and socket on the card, seat, leads, another slot, then the firmware\'s version. Only '
                    .'then the card.', 1),
                boots: [BootEvent::change(['machine.cards' => 'changed']), BootEvent::start(Wants::System)]),
            new Step('hardware.close', Stage::Hardware, 'Close the '
                .'case', Presence::Hands, Estimate::minutes(2, 4, 10), ['Shut down, close, screws in by type as '
                .'they came out.'],
                before: [PathFact::MEDIUM_STARTED], after: [PathFact::CASE_CLOSED], needs: ['hands', 'screwdriver'], acts: [Act::CloseMachine], because: [new Reason('Seen in setup, so it may be closed.', 'H3')], evidence: [Screws::in('hardware.swap-card')]),
        ];
    }

    /** @return list<Step> */
    private static function after(CardDriver $driver): array
    {
        return [
            new Step('drivers.install-new', Stage::Drivers, 'Install the new '
                .'driver', Presence::Hands, Estimate::minutes(3, 7, 20), ["Install {$driver->title()} from the "
                .'stick, then restart.', 'Resolution and rate of the screen as they should be.'],
                before: [PathFact::MEDIUM_STARTED, PathFact::DRIVERS_FETCHED], after: [PathFact::DRIVERS_COMPLETE], needs: ['hands'], acts: [Act::WriteSystem], done: DoneWords::in(SheetPart::Drivers, ucfirst($driver->title()).' was installed.'),
                because: [new Reason('The new family, and nothing of the old one.', 'D6')],
                waiting: new Waiting(['the screen goes black for seconds and comes '
                    .'back'], 'Wait a minute, then restart once.', 1)),
            new Step('put-back.network', Stage::PutBack, 'Back online', Presence::Hands, Estimate::minutes(0.5, 1, 3), ['Plug the network cable in again, wireless on. Look for system updates once.'],
                before: [PathFact::DRIVERS_COMPLETE], after: [PathFact::ONLINE, PathFact::putBack('network')], needs: ['hands', 'network'],
                done: DoneWords::of('It was put online '
                    .'again'), acts: [Act::ChangeOldSystem], because: [new Reason('It was cut only for the '
                    .'swap.', 'J4')]),
        ];
    }
}
