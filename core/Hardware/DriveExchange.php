<?php

declare(strict_types=1);

namespace Cobblestone\Hardware;

use Cobblestone\Assessment\Encryption\EncryptionSteps;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Brief\BackupBlock;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\DriveWords;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;

/** The old drive out and kept, the new one in; data carried over from the old one afterwards (rules H1–H3, I1, A7). */
final class DriveExchange
{
    /** Rate at which a system decrypts its drive, where nobody has measured it. */
    private const DECRYPT_MB_S = 60.0;

    public static function plan(
        Machine $machine,
        ?Drive $old,
        ?Drive $new,
        Safeguards $protection,
        BackupBlock $wish,
        Policy $policy,
    ): Contribution {
        [$encryption, $backup] = [$protection->encryption, $protection->backup];
        $rescued = $protection->health->rescueFirst();
        $name = $old === null ? 'the old drive' : DriveWords::full($old);
        $locked = $backup->somethingToKeep() && $encryption->protection->needsKeyElsewhere();
        $decrypt = $old !== null && $locked && $machine->fact('encryption.key')->is('no')
            ? EncryptionSteps::decrypt($old, self::decryptRate($machine), self::decrypted($machine, $old))
            : null;
        $carried = new CarryOver($rescued ? null : $name, $old, $wish, ! $rescued && $locked);
        $steps = [
            ...array_filter([$decrypt]),
            DriveSwapSteps::swap($name, $old, $new, $decrypt->after ?? [], $machine),
            SeenInSetup::step($machine, $new),
            DriveSwapSteps::close($machine),
            ...$backup->somethingToKeep() ? [$carried->step($policy)] : [],
            DriveSwapSteps::giveBack($name, $backup->somethingToKeep()),
        ];

        return DriveFit::of($machine, new Opening($machine->model))->and(new Contribution(
            $steps,
            [self::decision($name)],
            gather: self::gather($new, $backup->somethingToKeep()),
            initial: $rescued ? [] : [PathFact::BACKUP_SETTLED, PathFact::BACKUP_DETACHED],
        ));
    }

    private static function decision(string $name): Decision
    {
        return new Decision(
            'hardware.old-drive',
            'The old drive',
            'comes out and stays untouched until the handover',
            ['It is the way back until the new system is proven.'],
            ['erase it now' => ['There would be no way back.']],
            [$name],
            'J2, I1',
        );
    }

    /** @return list<GatherItem> */
    private static function gather(?Drive $new, bool $carries): array
    {
        $adapter = new GatherItem('adapter or enclosure for the old drive', 'its data is carried over from outside');

        return [
            new GatherItem('screwdriver and a tray', 'the machine is opened; screws out = screws in'),
            new GatherItem('new drive', $new === null ? 'its form and keying as the old one' : $new->title()),
            ...$carries ? [$adapter] : [],
        ];
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
}
