<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Brief\CardBlock;
use Cobblestone\Drivers\CardDriver;
use Cobblestone\Hardware\CardPower;
use Cobblestone\Job\DriveFate;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\OwnersLoss;
use Cobblestone\Job\OwnersWord;
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
        $changes = [Trigger::Card, Trigger::SecureBootState];
        $intent = static fn (bool $keep): EncryptionIntent => new EncryptionIntent(true, $changes, 4, $keep);
        $protection = SafeguardPlanner::plan($context, $drive, [], $intent, true);
        $driver = CardDriver::match(
            $card,
            $machine,
            $context->system,
            $context->catalogue->drivers(),
            $context->policy,
        );
        $all = $protection->encryption->contribution
            ->and($protection->health->contribution)
            ->and($protection->memoryContribution())
            ->and(CardPower::judge($machine, $card))
            ->and(self::brought($card));
        $steps = [
            ...IntakeSteps::first(
                $machine,
                OwnersWord::step(new OwnersLoss(DriveFate::Stays, $drive), $context->brief->owner, null),
            ),
            IntakeSteps::gather($all->gather),
            ...$all->steps,
            $driver->fetch(),
            ...CardSwapSteps::before($card),
            ...CardSwapSteps::swap($card, $machine),
            ...CardSwapSteps::after($driver),
            Acceptance::step(
                new ProofSubject($machine, $context->system, $context->brief->edition),
                [PathFact::DRIVERS_COMPLETE, PathFact::CASE_CLOSED],
                ProofScope::System,
            ),
        ];

        return self::pathDraft($steps, $all, $protection);
    }

    /**
     * @param  list<Step>  $steps
     */
    private static function pathDraft(array $steps, Contribution $all, Safeguards $protection): PathDraft
    {
        return new PathDraft(
            $all->withSteps($steps),
            assessment: [
                'encryption' => $protection->encryption->toArray(),
                'health' => $protection->health->toArray(),
            ],
        );
    }

    private static function brought(CardBlock $card): Contribution
    {
        return new Contribution(
            gather: [
                new GatherItem('screwdriver and a tray', 'the case is opened; screws out = screws in'),
                new GatherItem($card->new, 'with power leads of its own, not a shared one'),
                new GatherItem('stick or folder with the new driver', 'fetched before the network is cut'),
            ],
            initial: [PathFact::STICK_OUT, PathFact::BACKUP_SETTLED],
        );
    }
}
