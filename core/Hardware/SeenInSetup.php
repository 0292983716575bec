<?php

declare(strict_types=1);

namespace Cobblestone\Hardware;

use Cobblestone\Firmware\WayIn;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/** The new drive is seen in the setup before any screw; what else is done there is done in the same visit (rule H3). */
final class SeenInSetup
{
    public static function step(Machine $machine, ?Drive $new): Step
    {
        $way = WayIn::setup($machine);

        return new Step(
            'hardware.seen',
            Stage::Hardware,
            'See the new drive in the setup',
            Presence::Hands,
            Estimate::minutes(1, 2, 8),
            [
                $machine->kind->isPortable()
                    ? 'Lay the cover on without screws; battery lead and charger in.'
                    : 'Leave the side off; mains in.',
                ...$way->instructions('the setup'),
                'Look for the new drive and write down what is shown of it.',
            ],
            before: [PathFact::PART_FITTED],
            after: [PathFact::PART_SEEN],
            needs: ['hands', 'slot'],
            acts: [Act::FitPart],
            because: [new Reason('What is not seen in the setup is not fitted.', 'H3', $way->source)],
            evidence: [self::size($new)],
            boots: [BootEvent::start(Wants::Setup, BootEvent::BY_KEY)],
            opensWith: Wants::Setup,
        );
    }

    /** What the setup shows of the drive, against what is known of it. */
    public static function size(?Drive $new): Evidence
    {
        return new Evidence(
            'seen_size',
            'Size the setup shows of the drive',
            EvidenceKind::Size,
            expected: $new === null ? null : new Expected((string) $new->size->count),
            overruledBy: ['lead'],
            remedy: 'Power off. Its seat first, then the slot, then whether the slot is wired for it.',
        );
    }
}
