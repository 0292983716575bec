<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Encryption\RecoveryKey;
use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Brief\CardBlock;
use Cobblestone\Drivers\CardChange;
use Cobblestone\Drivers\CardDriver;
use Cobblestone\Drivers\OldCard;
use Cobblestone\Findings\Findings;
use Cobblestone\Hardware\CardFit;
use Cobblestone\Hardware\CardPower;
use Cobblestone\Hardware\Opening;
use Cobblestone\Job\DriveFate;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\OwnersLoss;
use Cobblestone\Job\OwnersWord;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\Acceptance;
use Cobblestone\Tuning\ProofScope;
use Cobblestone\Tuning\ProofSubject;

/** One graphics card out, another in, with the old family's driver removed in between (rules J1, D6, H5). */
final class CardSwapPath
{
    public static function draft(JobContext $context): PathDraft
    {
        $card = $context->brief->card ?? throw BriefFault::at('card', 'name the card that comes in.');
        $machine = $context->machine;
        $drive = count($machine->internalDrives()) === 1 ? $machine->internalDrives()[0] : null;
        $shelf = $context->catalogue->drivers();
        $driver = CardDriver::match($card, $machine, $context->system, $shelf, $context->policy);
        $old = OldCard::of($card, $machine, $context->system, $shelf);
        $change = CardChange::decide($old, $driver, $context->policy);
        $fit = new CardFit($machine, $card, (new Opening($machine->model))->cardSlot());
        $protection = self::safeguards($context, $drive, self::starts($change, $driver));
        $all = $protection->encryption->contribution
            ->and($protection->health->contribution)
            ->and($protection->memoryContribution())
            ->and(CardPower::judge($machine, $card))
            ->and($fit->contribution())
            ->and(new Contribution(self::key($machine, $protection, $change), [$change->decision]))
            ->and(self::brought($card, $driver));
        $fitting = new CardFitSteps($machine, $card, $old->name, $fit, CardPower::given($machine, $card));
        $steps = [
            ...IntakeSteps::first(
                $machine,
                OwnersWord::step(new OwnersLoss(DriveFate::Stays, $drive), $context->brief->owner, null),
            ),
            IntakeSteps::gather($all->gather),
            ...$all->steps,
            ...array_filter([$driver->fetch()]),
            ...self::before($context, $old, $change, $all->steps, ! $driver->isBrought),
            ...$fitting->steps($change->removes ? [PathFact::OLD_DRIVER_GONE] : []),
            ...(new CardDriverSteps($driver, $fit, $machine))->steps(),
            ...$change->removes || ! $driver->isBrought ? [CardSwapSteps::backOnline()] : [],
            self::proof($context),
        ];

        return self::pathDraft($steps, $all, $protection);
    }

    private static function proof(JobContext $context): Step
    {
        return Acceptance::step(
            new ProofSubject($context->machine, $context->system, $context->brief->edition),
            [PathFact::DRIVERS_COMPLETE, PathFact::CASE_CLOSED],
            ProofScope::System,
        );
    }

    /** @param  int  $starts  of the present system between suspending and resuming */
    private static function safeguards(JobContext $context, ?Drive $drive, int $starts): Safeguards
    {
        return SafeguardPlanner::plan(
            $context,
            $drive,
            [],
            static fn (bool $keep): EncryptionIntent => new EncryptionIntent(true, [Trigger::Card], $starts, $keep),
            true,
        );
    }

    /** In safe mode, with the new card, after its driver, and after the case is closed. */
    private static function starts(CardChange $change, CardDriver $driver): int
    {
        return 2 + ($change->removes ? 1 : 0) + ($driver->isBrought ? 0 : 1);
    }

    /** @return list<Step> the key at hand for the start in safe mode, where nothing else sees to it */
    private static function key(Machine $machine, Safeguards $protection, CardChange $change): array
    {
        $encryption = $protection->encryption;

        return $change->removes && $encryption->protection->asksForKey()
            && RecoveryKey::inHand(...$encryption->contribution->steps) === []
            ? [RecoveryKey::forSafeMode($machine)]
            : [];
    }

    /**
     * @param  list<Step>  $safeguards
     * @return list<Step>
     */
    private static function before(
        JobContext $context,
        OldCard $old,
        CardChange $change,
        array $safeguards,
        bool $fetches,
    ): array {
        $waits = $fetches ? [PathFact::DRIVERS_FETCHED] : [];

        return match (true) {
            $change->removes => [
                CardSwapSteps::offline($waits),
                CardSwapSteps::safeMode($context->system, RecoveryKey::inHand(...$safeguards)),
                CardSwapSteps::removeOld($old),
            ],
            $fetches => [CardSwapSteps::offline($waits), CardSwapSteps::shutDown()],
            default => [CardSwapSteps::shutDown()],
        };
    }

    /** @param  list<Step>  $steps */
    private static function pathDraft(array $steps, Contribution $all, Safeguards $protection): PathDraft
    {
        return new PathDraft(
            $all->withSteps($steps),
            new Findings($protection->health->drives, $protection->encryption->found()),
        );
    }

    private static function brought(CardBlock $card, CardDriver $driver): Contribution
    {
        return new Contribution(
            gather: [
                new GatherItem('screwdriver and a tray', 'the case is opened; screws out = screws in'),
                new GatherItem($card->new, 'the card that goes in'),
                ...$driver->isBrought ? [] : [
                    new GatherItem('stick or folder with the new driver', 'fetched before the network is cut'),
                ],
                new GatherItem('this path on paper or on a phone', 'the machine shows nothing while its card is out'),
            ],
            initial: [PathFact::STICK_OUT, PathFact::BACKUP_SETTLED],
        );
    }
}
