<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Emulated;

/**
 * Judges a start from what the machine says and shows: the firmware's own words on the serial line, a picture that
 * moves or stands still, resets. What these do not settle cannot be told.
 */
final readonly class StartJudge
{
    /** A loader that gives up on what comes next says so in words like these. */
    private const STOPS = [
        'Failed to open', 'Failed to load image', 'Verification failed', 'Security Violation',
        'start_image() returned', 'Could not read file', 'grub rescue', 'error: ', 'Boot error', 'Disk error',
        'not a bootable disk', 'Missing operating system', 'No DEFAULT or UI', 'Failed to load ldlinux',
        'Could not find kernel image', 'press any key to try again',
    ];

    /** Where a machine started the old way stands when a loader waits or has handed over. */
    private const RUNS = '/(^|\n)boot:|Welcome to |Loading [^\n]+?\.\.\.|Booting [`"\']|Decompressing|Linux version/';

    /** The old firmware's own words of a device it gives up, before it turns to the next or says there is none. */
    private const GIVES_UP = '/^Boot failed: (not a bootable disk|could not read the boot disk)$/m';

    /** Nothing new for so long after the medium was entered is silence, in seconds. */
    private const SILENCE = 8.0;

    /** What a loader prints and then leaves standing has been seen after so long. */
    private const SETTLED = 3.0;

    /** A machine that restarts so often by itself does not start. */
    private const MOST_RESETS = 3;

    /** What runs and has a drive to work on is given so long after its last word, in seconds. */
    private const WORKS = 6.0;

    /**
     * @param  list<string>  $welcomes  what this medium is known to print once it runs
     * @param  bool  $works  whether it has a drive to work on, so that its first word is not the end
     */
    public function __construct(
        private EmulatedFirmware $firmware,
        private array $welcomes = [],
        private bool $works = false,
    ) {
    }

    /** What ran restarted the machine, which ends the start. */
    public function restarted(string $printed): StartSeen
    {
        return $this->seen($printed, PHP_FLOAT_MAX) ?? StartSeen::CannotTell;
    }

    /**
     * @param  string  $printed  everything so far, as text
     * @param  float  $quiet  seconds since anything was printed or a picture came that was not seen before
     * @param  int  $resets  how often the machine has restarted by itself
     * @param  bool  $moved  whether the picture went on changing after the last word was printed
     * @return StartSeen|null null while it is not over
     */
    public function seen(string $printed, float $quiet, int $resets = 0, bool $moved = false): ?StartSeen
    {
        foreach ($this->welcomes as $welcome) {
            if (str_contains($printed, $welcome)) {
                return $this->works && $quiet < self::WORKS ? null : StartSeen::Starts;
            }
        }

        return match (true) {
            $resets >= self::MOST_RESETS => StartSeen::LoaderStopped,
            $this->firmware === EmulatedFirmware::Bios => self::oldWay($printed, $quiet, $moved),
            default => self::uefi($printed, $quiet, $moved),
        };
    }

    private static function uefi(string $printed, float $quiet, bool $moved): ?StartSeen
    {
        // The firmware turns to its own shell, or gives up, only after the medium has failed.
        $own = explode('EFI Internal Shell', $printed, 2);
        if (self::stops($own[0])) {
            return StartSeen::LoaderStopped;
        }
        if (count($own) > 1 || str_contains($printed, 'No bootable option')) {
            return str_contains($own[0], 'Access Denied') ? StartSeen::RefusedBySecureBoot : StartSeen::NoBootDevice;
        }
        if (preg_match('/BdsDxe: starting Boot[^\n]*\n?(?!.*BdsDxe: starting Boot)(.*)$/s', $printed, $after) !== 1) {
            return null;
        }

        return self::entered(trim($after[1]) !== '', $quiet, $moved);
    }

    /** A loader has the machine: what it prints or draws shows that it runs. */
    private static function entered(bool $speaks, float $quiet, bool $moved): ?StartSeen
    {
        return match (true) {
            $speaks && $quiet >= self::SETTLED, $moved && $quiet >= self::SETTLED => StartSeen::Starts,
            ! $speaks && ! $moved && $quiet >= self::SILENCE => StartSeen::Silent,
            default => null,
        };
    }

    private static function oldWay(string $printed, float $quiet, bool $moved): ?StartSeen
    {
        if (str_contains($printed, 'No bootable device')) {
            return StartSeen::NoBootDevice;
        }
        $entered = strrpos($printed, 'Booting from');
        if ($entered === false) {
            return null;
        }
        // What runs may print between the dots of the firmware's own line.
        $after = trim((string) preg_replace('/^Booting from [^.\n]*/', '', substr($printed, $entered)), " \n");
        $after = trim((string) preg_replace('/^\.+\s*|\n\.+$/', '', $after));

        return match (true) {
            preg_match(self::GIVES_UP, $after) === 1 => null,
            self::stops($after) => StartSeen::LoaderStopped,
            $quiet < self::SILENCE => null,
            $after === '' && ! $moved => StartSeen::Silent,
            preg_match(self::RUNS, $after) === 1 => StartSeen::Starts,
            // Words that nobody knows, or a picture without any: a loader that waits looks like one that gave up.
            default => StartSeen::CannotTell,
        };
    }

    private static function stops(string $text): bool
    {
        foreach (self::STOPS as $words) {
            if (str_contains($text, $words)) {
                return true;
            }
        }

        return false;
    }
}
