<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Brief\CardBlock;
use Cobblestone\Drivers\CardDriver;
use Cobblestone\Hardware\OpenedCase;
use Cobblestone\Hardware\Opening;
use Cobblestone\Hardware\Screws;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;

/** The stones around a graphics card: old driver out, card exchanged, new driver in (rules D6, H3). */
final class CardSwapSteps
{
    /** @return list<Step> */
    public static function before(CardBlock $card): array
    {
        return [self::offline(), self::safeMode(), self::removeOld($card)];
    }

    /** @return list<Step> */
    public static function swap(CardBlock $card, Machine $machine): array
    {
        return [self::swapCard($card, $machine), self::firstStart(), self::closeCase()];
    }

    /** @return list<Step> */
    public static function after(CardDriver $driver): array
    {
        return [self::installNew($driver), self::backOnline()];
    }

    private static function offline(): Step
    {
        return new Step(
            'network.offline',
            Stage::FetchDrivers,
            'Go offline',
            Presence::Hands,
            Estimate::minutes(0.5, 1, 3),
            ['Unplug the network cable and switch the wireless off.'],
            before: [PathFact::DRIVERS_FETCHED],
            after: ['network.off'],
            needs: ['hands'],
            acts: [Act::ChangeOldSystem],
            because: [
                new Reason(
                    'Online, the system fetches a driver of its own choice in the middle of the swap.',
                    'D6',
                ),
            ],
            opens: [
                new PutBack(
                    'network',
                    'Network switched off',
                    'The system would have fetched drivers by itself.',
                    'put-back.network',
                ),
            ],
        );
    }

    private static function safeMode(): Step
    {
        return new Step(
            'boot.safe-mode',
            Stage::Boot,
            'Start in safe mode',
            Presence::Hands,
            Estimate::minutes(2, 4, 10),
            ['Start the system in its safe mode.', 'Asked for a recovery key? The owner types it.'],
            before: ['network.off', PathFact::ENCRYPTION_SETTLED, PathFact::OWNER_AGREED],
            after: [PathFact::SAFE_MODE],
            needs: ['hands', 'slot'],
            acts: [Act::ChangeOldSystem],
            because: [new Reason('In safe mode the old driver is not in use and can be removed whole.', 'D6')],
            boots: [BootEvent::start(Wants::System)],
        );
    }

    private static function removeOld(CardBlock $card): Step
    {
        return new Step(
            'drivers.remove-old',
            Stage::Hardware,
            'Remove the old driver',
            Presence::Hands,
            Estimate::minutes(3, 6, 15),
            [
                'Remove the old card\'s whole driver '.
                'family'.
                ($card->old === null ? '' : " ({$card->old})").
                ': driver, tools, control page.',
                'Shut down fully. Not: restart.',
            ],
            before: [PathFact::SAFE_MODE],
            after: [PathFact::OLD_DRIVER_GONE, PathFact::SHUT_DOWN],
            needs: ['hands'],
            done: DoneWords::in(SheetPart::Drivers, 'The old card\'s driver was removed.'),
            acts: [Act::ChangeOldSystem],
            because: [new Reason('Left-overs of another family make black screens after the logo.', 'D6')],
        );
    }

    private static function swapCard(CardBlock $card, Machine $machine): Step
    {
        $opening = new Opening($machine->model);

        return new Step(
            'hardware.swap-card',
            Stage::Hardware,
            'Swap the card',
            Presence::Hands,
            Estimate::minutes(8, 15, 40),
            [
                ...$opening->lines(),
                'Press the slot\'s catch, take the old card out by its edge, into an anti-static bag.',
                "{$card->new}: length and slots measured, in until the catch clicks, screwed at the ".
                'bracket.',
                'Each power socket of the card its own lead of the supply.',
                'Picture cable on the card, not on the board.',
            ],
            before: [PathFact::OLD_DRIVER_GONE, PathFact::SHUT_DOWN, PathFact::MACHINE_IDENTIFIED],
            after: [PathFact::PART_FITTED],
            needs: ['hands', 'screwdriver'],
            done: DoneWords::of("The graphics card was exchanged for {$card->new}"),
            acts: [Act::OpenMachine, Act::FitPart],
            because: [
                new Reason(
                    'Supply and leads were compared before; length and slots are measured here.',
                    'H5, H1',
                ),
                ...$opening->because(),
            ],
            cautions: OpenedCase::cautions($machine->kind),
            evidence: [Screws::out($opening)],
            rows: $opening->rows(),
        );
    }

    private static function firstStart(): Step
    {
        return new Step(
            'boot.first',
            Stage::Boot,
            'First start with the card',
            Presence::Hands,
            Estimate::minutes(1, 3, 10),
            ['Start and see the card in the setup, then let the system start.'],
            before: [PathFact::PART_FITTED],
            after: [PathFact::MEDIUM_STARTED],
            needs: ['hands', 'slot'],
            acts: [Act::FitPart],
            because: [new Reason('A card is seen before the case is closed.', 'H3')],
            waiting: new Waiting(
                ['low resolution', 'flicker until its driver is in'],
                'Black after the logo: '.
                    'cable and socket on the card, seat, leads, another slot, then the firmware\'s version. Only '.
                    'then the card.',
                1,
            ),
            boots: [BootEvent::change(['machine.cards' => 'changed']), BootEvent::start(Wants::System)],
        );
    }

    private static function closeCase(): Step
    {
        return new Step(
            'hardware.close',
            Stage::Hardware,
            'Close the case',
            Presence::Hands,
            Estimate::minutes(2, 4, 10),
            ['Shut down, close, screws in by type as they came out.'],
            before: [PathFact::MEDIUM_STARTED],
            after: [PathFact::CASE_CLOSED],
            needs: ['hands', 'screwdriver'],
            acts: [Act::CloseMachine],
            because: [new Reason('Seen in setup, so it may be closed.', 'H3')],
            evidence: [Screws::in('hardware.swap-card')],
        );
    }

    private static function installNew(CardDriver $driver): Step
    {
        return new Step(
            'drivers.install-new',
            Stage::Drivers,
            'Install the new driver',
            Presence::Hands,
            Estimate::minutes(3, 7, 20),
            [
                "Install {$driver->title()} from the ".'stick, then restart.',
                'Resolution and rate of the screen as they should be.',
            ],
            before: [PathFact::MEDIUM_STARTED, PathFact::DRIVERS_FETCHED],
            after: [PathFact::DRIVERS_COMPLETE],
            needs: ['hands'],
            acts: [Act::WriteSystem],
            done: DoneWords::in(SheetPart::Drivers, ucfirst($driver->title()).' was installed.'),
            because: [new Reason('The new family, and nothing of the old one.', 'D6')],
            waiting: new Waiting(
                ['the screen goes black for seconds and comes back'],
                'Wait a minute, then restart once.',
                1,
            ),
        );
    }

    private static function backOnline(): Step
    {
        return new Step(
            'put-back.network',
            Stage::PutBack,
            'Back online',
            Presence::Hands,
            Estimate::minutes(0.5, 1, 3),
            ['Plug the network cable in again, wireless on. Look for system updates once.'],
            before: [PathFact::DRIVERS_COMPLETE],
            after: [PathFact::ONLINE, PathFact::putBack('network')],
            needs: ['hands', 'network'],
            done: DoneWords::of('It was put online again'),
            acts: [Act::ChangeOldSystem],
            because: [new Reason('It was cut only for the swap.', 'J4')],
        );
    }
}
