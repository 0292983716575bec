<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Proof;

use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Moment;

/** Whether readings are of the machine that the job is about: another one's would prove nothing (rules K2, T1). */
final class SameMachine
{
    /** Days that a bundle of a finished machine may lie before it is brought here (default). */
    private const DAYS = 30;

    private const SERIAL = 'machine.serial';

    /** What names it, the surest first; the others are the same on all of one model. */
    private const NAMES = [self::SERIAL => 'serial', 'machine.product' => 'product', 'board.name' => 'board'];

    /**
     * A serial decides. Of two machines alike, or where no serial is told, the drives inside do.
     *
     * @param  bool  $drivesStay  whether the job leaves the drives in the machine as they are
     * @return string|null why it is another machine; null where nothing says so
     */
    public static function fault(Machine $before, Machine $after, bool $drivesStay = true): ?string
    {
        foreach (self::NAMES as $name => $spoken) {
            [$was, $is] = [$before->fact($name), $after->fact($name)];
            if (! $was->isKnown() || ! $is->isKnown()) {
                continue;
            }
            if (mb_strtolower(trim($was->text())) !== mb_strtolower(trim($is->text()))) {
                return "These readings are of another machine: its {$spoken} is {$is->text()}, that of the job's "
                    ."machine is {$was->text()}. Nothing of them was taken.";
            }
            if ($name === self::SERIAL) {
                return null;
            }
        }

        return $drivesStay && self::haveNoDriveInCommon($before, $after)
            ? "These readings are of another machine: none of the drives inside is one that was read of the job's "
                .'machine. Nothing of them was taken. Where its drives were exchanged, read the machine in again under '
                .'Intake first.'
            : null;
    }

    private static function haveNoDriveInCommon(Machine $before, Machine $after): bool
    {
        $isCompared = false;
        foreach ([false, true] as $byWwn) {
            [$was, $is] = [self::drives($before, $byWwn), self::drives($after, $byWwn)];
            if (array_intersect($was, $is) !== []) {
                return false;
            }
            $isCompared = $isCompared || ($was !== [] && $is !== []);
        }

        // One tool tells the serial of a drive, another its WWN: those are not compared with each other.
        return $isCompared;
    }

    /** @return list<string> what names the drives inside: their serials, or their WWNs */
    private static function drives(Machine $machine, bool $byWwn): array
    {
        return array_values(array_filter(array_map(
            static fn (Drive $drive): string => mb_strtolower(trim(
                (string) ($byWwn ? $drive->wwn : ($drive->hasProof() ? $drive->serial : null)),
            )),
            $machine->internalDrives(),
        )));
    }

    /**
     * @param  string|null  $before  when it was read at first, as its own clock said
     * @param  string|null  $after  when the finished machine was read, as its own clock said
     * @param  string  $now  by the clock of the bench
     * @return string how the clock of the finished machine is wrong; empty where it is not seen to be
     */
    public static function clock(?string $before, ?string $after, string $now): string
    {
        return match (true) {
            $after === null => '',
            $before !== null && $after < $before => "its clock says {$after}, and the first reading is of {$before}",
            $after > $now => "its clock says {$after}, which is still to come here",
            $after < self::earliest($now) => "its clock says {$after}, and here it is {$now}",
            default => '',
        };
    }

    private static function earliest(string $now): string
    {
        return Moment::of($now)->plusDays(-self::DAYS)->iso();
    }
}
