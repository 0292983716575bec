<?php

declare(strict_types=1);

namespace Cobblestone\Hardware;

use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** The stones of a drive that comes out whole and one that goes in (rules H1–H3, I1). */
final class DriveSwapSteps
{
    /** What can become of it. */
    private const FATES = [
        'given-back' => 'given back',
        'kept' => 'kept until the agreed day',
        'erased' => 'erased, with certificate',
    ];

    /** @param  list<string>  $decrypted  facts that have to hold before an encrypted drive leaves its machine */
    public static function swap(string $name, ?Drive $old, ?Drive $new, array $decrypted, Machine $machine): Step
    {
        $opening = new Opening($machine->model);
        $out = ucfirst($old?->title() ?? 'the old drive');

        return new Step(
            'hardware.swap-drive',
            Stage::Hardware,
            'Swap the drive',
            Presence::Hands,
            Estimate::minutes(6, 12, 40),
            self::exchanged($name, $new, $opening),
            before: [PathFact::SHUT_DOWN, PathFact::MACHINE_IDENTIFIED, ...$decrypted],
            after: [PathFact::PART_FITTED],
            needs: ['hands', 'screwdriver'],
            done: DoneWords::in(
                SheetPart::Drive,
                "{$out} was taken out and kept as it was; the new drive was fitted.",
            ),
            acts: [Act::OpenMachine, Act::FitPart],
            because: [
                new Reason('The old drive is not erased: it comes out.', 'H1, H2, I1'),
                ...$opening->because(),
            ],
            cautions: OpenedCase::cautions($machine->kind),
            evidence: [Screws::out($opening)],
            rows: $opening->rows(),
            opens: [
                new PutBack(
                    'old-drive',
                    "Kept apart: {$name}",
                    'It is the way back until the new system is proven.',
                    'put-back.old-drive',
                ),
            ],
            boots: [BootEvent::change(['target' => 'blank'])],
        );
    }

    /** @return list<string> */
    private static function exchanged(string $name, ?Drive $new, Opening $opening): array
    {
        $takes = $opening->baySaid()
            ?? 'same form and keying, height with its spreader, and an interface the slot really has';

        return [
            ...$opening->lines(),
            "Take out {$name}. Label it with the job and \"do not erase\".",
            "New drive: {$takes}.",
            $new === null ? 'Note serial and exact bytes from its label.' : "Put in {$new->title()}.",
            $opening->rows() === []
                ? 'Note where every screw came from.'
                : 'Screws into the tray under their letters.',
        ];
    }

    public static function close(Machine $machine): Step
    {
        return new Step(
            'hardware.close',
            Stage::Hardware,
            'Close the case',
            Presence::Hands,
            Estimate::minutes(3, 6, 15),
            [
                ($machine->kind->isPortable() ? 'Power off, charger out' : 'Power off, mains out')
                    .', close; screws in by type as they came out.',
            ],
            before: [PathFact::PART_SEEN, PathFact::FIRMWARE_RECORDED, PathFact::FIRMWARE_READY],
            after: [PathFact::CASE_CLOSED],
            needs: ['hands', 'screwdriver'],
            acts: [Act::CloseMachine],
            because: [new Reason('The drive was seen in the setup, and nothing there is left to be done.', 'H3')],
            evidence: [Screws::in('hardware.swap-drive')],
        );
    }

    public static function giveBack(string $name, bool $carried): Step
    {
        return new Step(
            'put-back.old-drive',
            Stage::PutBack,
            'The old drive',
            Presence::Hands,
            Estimate::minutes(1, 2, 8),
            [
                "{$name}: back to the owner, kept until an agreed day, or erased by the drive's own command with a "
                    .'certificate.',
                'Deleting its partitions is not erasing.',
            ],
            before: [PathFact::PROVEN, PathFact::PART_FITTED, ...$carried ? [PathFact::CARRIED_OVER] : []],
            after: [PathFact::putBack('old-drive')],
            needs: ['hands'],
            done: DoneWords::in(SheetPart::Drive, 'Your old drive.', 'old_drive'),
            because: [new Reason('It holds the owner\'s data.', 'L5, J4')],
            evidence: [new Evidence('old_drive', 'What becomes of it', 'choice', self::FATES)],
        );
    }
}
