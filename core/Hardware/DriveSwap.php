<?php

declare(strict_types=1);

namespace Cobblestone\Hardware;

use Cobblestone\Assessment\BackupEvidence;
use Cobblestone\Assessment\Encryption\EncryptionSteps;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Brief\BackupBlock;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\DriveWords;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
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

/** The old drive out and kept, the new one in; data carried over from the old one afterwards (rules H1–H3, I1, A7). */
final class DriveSwap
{
    /** Rate at which a system decrypts its drive, where nobody has measured it. */
    private const DECRYPT_MB_S = 60.0;

    public static function plan(Machine $machine, ?Drive $old, ?Drive $new, Safeguards $protection, BackupBlock $wish, Policy $policy): Contribution
    {
        [$encryption, $backup, $rescued] = [$protection->encryption, $protection->backup, $protection->health->rescueFirst()];
        $name = $old === null ? 'the old drive' : DriveWords::full($old);
        $decrypt = $old !== null && $backup->somethingToKeep() && $encryption->protection->needsKeyElsewhere() && $machine->fact('encryption.key')->is('no') ? EncryptionSteps::decrypt($old, self::decryptRate($machine), self::decrypted($machine, $old)) : null;
        $steps = [...($decrypt === null ? [] : [$decrypt]), self::swap($name, $old, $new, $decrypt, $machine->kind), self::close(), ...($backup->somethingToKeep() ? [self::carryOver($rescued ? 'the rescued copy' : $name, ! $rescued, $old, $wish, ! $rescued && $encryption->protection->needsKeyElsewhere(), $policy)] : []), self::giveBack($name, $backup->somethingToKeep())];

        return new Contribution($steps, [new Decision('hardware.old-drive', 'The old drive', 'comes out and stays '
            .'untouched until the handover', ['It is the way back until the new system is '
            .'proven.'], ['erase it now' => ['There would be no way back.']], [$name], 'J2, I1')],
            gather: [new GatherItem('screwdriver and a tray', 'the machine is opened; screws out = screws in'), new GatherItem('new drive', $new === null ? 'its form and keying as the old one' : $new->title()), ...($backup->somethingToKeep() ? [new GatherItem('adapter or enclosure for the old drive', 'its data is carried over from outside')] : [])],
            initial: $rescued ? [] : [PathFact::BACKUP_SETTLED, PathFact::BACKUP_DETACHED]);
    }

    private static function decryptRate(Machine $machine): float
    {
        $rate = $machine->fact('decrypt.mb_s')->value;

        return is_numeric($rate) && $rate > 0 ? (float) $rate : self::DECRYPT_MB_S;
    }

    /** Bytes that a running decryption has done already. */
    private static function decrypted(Machine $machine, Drive $old): Bytes
    {
        $percent = $machine->fact('decrypt.percent')->value;
        $bytes = $machine->fact('decrypt.bytes')->value;

        return Bytes::of((int) min($old->size->count, match (true) {
            is_numeric($bytes) && $bytes > 0 => (int) $bytes,
            is_numeric($percent) && $percent > 0 => $old->size->count * min(100, (float) $percent) / 100,
            default => 0,
        }));
    }

    private static function swap(string $name, ?Drive $old, ?Drive $new, ?Step $decrypt, Kind $kind): Step
    {
        return new Step('hardware.swap-drive', Stage::Hardware, 'Swap the '
            .'drive', Presence::Hands, Estimate::minutes(6, 12, 40),
            ["Take out {$name}. Label it with the job and \"do not "
                .'erase".', 'New drive: same form and keying, height with its spreader, and an interface the slot '
                .'really has.', $new === null ? 'Note serial and exact bytes from its '
                .'label.' : "Put in {$new->title()}.", 'Note where every screw came from.'],
            before: [PathFact::SHUT_DOWN, PathFact::MACHINE_IDENTIFIED, ...($decrypt === null ? [] : $decrypt->after)], after: [PathFact::PART_FITTED], needs: ['hands', 'screwdriver'],
            done: DoneWords::in(SheetPart::Drive, ucfirst($old?->title() ?? 'the old drive').' was taken out and '
                .'kept as it was; the new drive was fitted.'), acts: [Act::OpenMachine, Act::FitPart],
            because: [new Reason('The old drive is not erased: it comes out.', 'H1, H2, I1')],
            cautions: OpenedCase::cautions($kind),
            evidence: [Screws::out()],
            opens: [new PutBack('old-drive', "Kept apart: {$name}", 'It is the way back until the new system is '
                .'proven.', 'put-back.old-drive')],
            boots: [BootEvent::change(['target' => 'blank'])],
        );
    }

    private static function close(): Step
    {
        return new Step('hardware.close', Stage::Hardware, 'Close the '
            .'case', Presence::Hands, Estimate::minutes(3, 6, 15),
            ['Before any screw: start once and see the new drive with its size in the '
                .'setup.', 'Then power off and close; screws in by type as they came out.'],
            before: [PathFact::PART_FITTED], after: [PathFact::CASE_CLOSED], needs: ['hands', 'screwdriver'], acts: [Act::CloseMachine],
            because: [new Reason('What is not seen in setup is not fitted.', 'H3')],
            boots: [BootEvent::start(Wants::Setup, BootEvent::BY_KEY)],
            evidence: [Screws::in('hardware.swap-drive')],
        );
    }

    private static function carryOver(string $from, bool $fromOld, ?Drive $old, BackupBlock $wish, bool $asksForKey, Policy $policy): Step
    {
        $bytes = $wish->bytes === null ? $old?->used() : Bytes::parse($wish->bytes);
        $time = $bytes === null ? Estimate::minutes(15, 45, 180) : Estimate::around(DataRate::megabytes(min($policy->figure('host_port_mb_s'), $wish->sourceMbS ?? 100))->timeFor($bytes));
        $what = $wish->folders === [] ? 'the folders the owner named' : implode(', ', $wish->folders);

        return new Step('install.carry-over', Stage::Updates, 'Carry the data over', Presence::WalkAway, $time,
            ["Attach {$from}, read-only.", ...($asksForKey ? ['It asks for its key: the owner types it.'] : []), "Copy {$what}.", 'Count files and bytes on both sides, then take it off again.'],
            before: [PathFact::UPDATED], after: ['data.carried-over'], needs: ['slot', 'external drive'],
            done: DoneWords::in(SheetPart::Files, $fromOld ? 'Your files were carried over from the old '
                .'drive.' : 'Your files were carried over from the rescued '
                .'copy.', 'files_over', 'bytes_over'), acts: [Act::CopyData],
            because: [new Reason('Nothing was erased, so the data comes from what is kept.', 'A6')],
            evidence: BackupEvidence::carriedOver('install.carry-over', $wish->files, $wish->bytes === null ? null : $bytes),
            waiting: new Waiting(['many small files go slower'], 'Look whether the count still grows.'),
        );
    }

    private static function giveBack(string $name, bool $carried): Step
    {
        return new Step('put-back.old-drive', Stage::PutBack, 'The old drive', Presence::Hands, Estimate::minutes(1, 2, 8),
            ["{$name}: back to the owner, kept until an agreed day, or erased by the drive's own command with a "
                .'certificate.', 'Deleting its partitions is not erasing.'],
            before: [PathFact::PROVEN, PathFact::PART_FITTED, ...($carried ? ['data.carried-over'] : [])], after: [PathFact::putBack('old-drive')], needs: ['hands'],
            done: DoneWords::in(SheetPart::Drive, 'Your old drive.', 'old_drive'),
            because: [new Reason('It holds the owner\'s data.', 'L5, J4')],
            evidence: [new Evidence('old_drive', 'What becomes of it', 'choice', ['given-back' => 'given back', 'kept' => 'kept until the agreed day', 'erased' => 'erased, with certificate'])],
        );
    }
}
