<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** What a stone does to a machine, its drive or a medium: what a blocker makes unsafe is named by it (rule K1). */
enum Act: string
{
    /** Copies the owner's data through this machine; changes nothing on it. */
    case CopyData = 'copy-data';
    /** Suspends, decrypts, signs out, goes offline, removes a driver: the present system is other than before. */
    case ChangeOldSystem = 'change-old-system';
    case WriteStick = 'write-stick';
    case OpenMachine = 'open-machine';
    case FitPart = 'fit-part';
    case CloseMachine = 'close-machine';
    case WriteFirmware = 'write-firmware';
    case ChangeSettings = 'change-settings';
    case StartMedium = 'start-medium';
    case Erase = 'erase';
    /** Copies, updates or restores a system, or installs drivers into it. */
    case WriteSystem = 'write-system';
    case Repair = 'repair';
    case UseLicence = 'use-licence';
    case HandOver = 'hand-over';

    /**
     * What a stop makes unsafe: everything that changes the machine or a medium, and the handover.
     *
     * Copying the owner's data is not among it: it is what a stop is meant to leave time for. Where the copy itself
     * is unsafe (bad memory, a key nobody has), the blocker names it.
     *
     * @return non-empty-list<self>
     */
    public static function changing(): array
    {
        $changing = array_values(array_filter(self::cases(), static fn (self $act): bool => $act !== self::CopyData));

        return $changing;
    }

    /** "write firmware", for lists of what a blocker shuts. */
    public function title(): string
    {
        return match ($this) {
            self::CopyData => 'copy data',
            self::ChangeOldSystem => 'change the present system',
            self::WriteStick => 'write a stick',
            self::OpenMachine => 'open the machine',
            self::FitPart => 'fit a part',
            self::CloseMachine => 'close the machine',
            self::WriteFirmware => 'write firmware',
            self::ChangeSettings => 'change settings',
            self::StartMedium => 'start a medium',
            self::Erase => 'erase',
            self::WriteSystem => 'write a system',
            self::Repair => 'repair',
            self::UseLicence => 'use up a licence',
            self::HandOver => 'hand over',
        };
    }
}
