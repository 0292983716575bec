<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\WorksOn;

/** The stone that makes a second stick, where the drivers do not travel on the installer's (rule M8). */
final class DriverStickStep
{
    public static function of(DriverPlace $place): Step
    {
        $stick = $place->stick;

        return new Step(
            'media.drivers',
            Stage::Media,
            'Driver stick',
            Presence::Hands,
            Estimate::minutes(1, 3, 10),
            [
                $stick === null
                    ? "Take {$place->second}. Nothing on it may be needed."
                    : "Take {$stick->name}".($stick->serial === null
                        ? ': it reports no serial, so take all others out.' : ", serial `{$stick->serial}`."),
                'One FAT32 partition; copy the folder with the drivers onto it, and put a label on it.',
                'Read it back and compare the checksums.',
            ],
            before: [PathFact::DRIVERS_FETCHED],
            after: [PathFact::DRIVERS_ON_STICK],
            needs: ['hands', 'stick', 'bench computer'],
            acts: [Act::WriteStick],
            because: [new Reason($place->decision->reasons[0] ?? 'They go along beside the installer.', 'M8')],
            cautions: ['Everything on the stick is lost.'],
            confirmation: new Confirmation(
                $stick->name ?? 'the second stick',
                $stick?->size()->count ?? 0,
                $stick?->serial,
                $stick->contents ?? 'whatever is on it',
                'the bench',
                typed: false,
            ),
            worksOn: WorksOn::Stick,
        );
    }
}
