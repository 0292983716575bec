<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Firmware\WayIn;
use Cobblestone\Job\JobContext;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Kind;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;

/** The stones of a factory restore: everything detached, the recovery opened, the image back (rule A3, rung 9). */
final class FactorySteps
{
    public static function detach(): Step
    {
        return new Step(
            'protect.detach-all',
            Stage::Protect,
            'Detach everything',
            Presence::Hands,
            Estimate::minutes(0.5, 2, 6),
            ['Unplug every stick, card, dock, drive and printer. Only charger, keyboard and screen stay.'],
            before: [PathFact::SHUT_DOWN], after: ['protect.detached-all'], needs: ['hands'],
            because: [new Reason('A factory restore may take any drive it finds for its own.', 'A3')],
        );
    }

    public static function start(JobContext $context, bool $medium): Step
    {
        $way = WayIn::recovery($context->machine)->ways[0] ?? null;
        $lines = match (true) {
            $medium => [
                'Plug in the maker\'s recovery medium for exactly this model.',
                ...WayIn::menu($context->machine)->instructions('the list of devices'),
            ],
            $way !== null && $way->isHeld() => ["Fully off. Hold `{$way->key}`, press `{$way->press}` once, hold "
                ."about {$way->seconds} s, let go at the maker's sign."],
            $way !== null => ["Power on and tap `{$way->key}` until the recovery page stands."],
            default => [
                'In the running system: its settings, then recovery, then everything removed.',
                'Not starting? The maker\'s key for recovery, tapped at power-on; look it up by exact model.',
            ],
        };

        return new Step(
            'boot.recovery',
            Stage::Boot,
            'Open the recovery',
            Presence::Hands,
            Estimate::minutes(1, 4, 15),
            $lines,
            before: ['protect.detached-all', PathFact::POWER_SAFE, PathFact::GATHERED],
            after: [PathFact::RECOVERY_STARTED],
            needs: ['hands', 'slot', 'power'],
            acts: [Act::StartMedium],
            because: self::because($medium),
            waiting: new Waiting(
                ['a black screen for a minute', 'touch that does not answer: use the keyboard'],
                'Shut down fully, and press earlier or longer.',
                1,
            ),
            boots: [BootEvent::start(Wants::Recovery, BootEvent::BY_KEY)],
            opensWith: Wants::Recovery,
        );
    }

    /**
     * @return list<Reason>
     */
    private static function because(bool $medium): array
    {
        return [
            new Reason(
                $medium
                    ? 'The image on the drive is damaged; the medium brings it.'
                    : 'The image stands on the drive itself.',
                'A3',
            ),
        ];
    }

    /**
     * @param  list<\Cobblestone\Runbook\Gate>  $gates
     * @param  list<string>  $waits
     * @return list<Step>
     */
    public static function restore(Kind $kind, ?Drive $drive, string $owner, array $gates, array $waits): array
    {
        return [
            new Step(
                'target.restore',
                Stage::Target,
                'Start the restore',
                Presence::Hands,
                Estimate::minutes(0.5, 2, 6),
                ['Choose to remove everything, the whole drive.', 'Read what it lists as removed before going on.'],
                before: [PathFact::RECOVERY_STARTED, PathFact::OWNER_AGREED, PathFact::POWER_SAFE, ...$waits],
                after: [PathFact::TARGET_ERASED],
                needs: ['hands'],
                acts: [Act::Erase],
                gates: $gates,
                because: [new Reason('From here on everything since purchase is gone.', 'A3')],
                cautions: ['Everything on the drive is lost. Deleting is not secure erasure.'],
                done: DoneWords::in(
                    SheetPart::Drive,
                    'Everything since purchase was removed from '.($drive?->title() ?? 'the internal drive')
                        .'. Deleting is not secure erasure.',
                ),
                confirmation: new Confirmation($drive?->title() ?? 'the internal drive',
                    $drive->size->count ?? 0,
                    $drive?->hasProof() === true ? $drive->serial : null,
                    'everything since purchase',
                    $owner,
                    typed: $drive?->hasProof() === true),
            ),
            FactoryRestorePath::restoring($kind),
        ];
    }
}
