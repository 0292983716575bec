<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Medium;

use Cobblestone\Storage\Reading\ByteSource;
use Cobblestone\Storage\Reading\MbrTable;

/**
 * What the code in sector 0 would do, read off its calls without running it: code that never calls the disk service
 * cannot load anything, and code that walks the table goes by the partition marked active.
 * Held against emulated firmware (docs/emulation.md).
 */
final class LegacySector
{
    /** int 13h: disk service. */
    private const DISK = "\xCD\x13";

    /**
     * int 16h and int 19h: waits for a key, starts the machine over. Code that asks for a key instead of the disk has
     * nothing to start.
     */
    private const GIVES_UP = ["\xCD\x16", "\xCD\x19"];

    /** What boot sectors say that have nothing to start. */
    private const REGRETS = '/not a? ?bootable|non-?system|no (?:boot|operating|system)|missing|insert|press any key/i';

    /** int 18h: gives control back to the firmware, which goes on to the next device. */
    private const GIVE_BACK = "\xCD\x18";

    /**
     * Addresses of the table of partitions after the sector was loaded to 7C00h or moved to 0600h, as code names
     * them.
     */
    private const TABLE_ADDRESSES = ["\xBE\x07", "\xBE\x7D", "\xBE\x01"];

    private const DEEPEST = 2;

    public static function judge(ByteSource $device, int $at = 0, int $depth = 0): LegacyCode
    {
        $sector = $device->read($at, 512);
        if (strlen($sector) < 512 || substr($sector, 510) !== "\x55\xAA") {
            return LegacyCode::NoMark;
        }
        $code = substr($sector, 0, 440);
        if (trim($code, "\0") === '') {
            return LegacyCode::Zeros;
        }
        if (! str_contains($code, self::DISK)) {
            return self::withoutDisk($sector);
        }

        return self::walksTable($code) ? self::byActive($device, $code, $depth) : LegacyCode::Starts;
    }

    /**
     * Code that never reads the disk is followed: it says that it has nothing, gives back, never ends without a word,
     * or is all there is to start. What cannot be followed is known of only by what it would say.
     */
    private static function withoutDisk(string $sector): LegacyCode
    {
        ['end' => $end, 'printed' => $printed] = LegacyTrace::of($sector);
        $code = substr($sector, 0, 440);
        $regrets = preg_match(self::REGRETS, $end === 'unknown' ? $code : $printed) === 1;

        return match (true) {
            $regrets, $end === 'waits', $end === 'restarts' => LegacyCode::Stops,
            $end === 'disk' => LegacyCode::Starts,
            $end === 'returns' => LegacyCode::Returns,
            $end === 'stays' => $printed === '' ? LegacyCode::Hangs : LegacyCode::Starts,
            self::saysNothing($code) => LegacyCode::Stops,
            default => LegacyCode::Unknown,
        };
    }

    /** Whether it asks for a key, or for a new start, and shows text: it has nothing to start. */
    private static function saysNothing(string $code): bool
    {
        $asks = array_filter(self::GIVES_UP, static fn (string $call): bool => str_contains($code, $call)) !== [];

        return $asks && preg_match('/[\x20-\x7E\r\n]{12}/', $code) === 1;
    }

    private static function walksTable(string $code): bool
    {
        foreach (self::TABLE_ADDRESSES as $address) {
            // mov si, mov bp or mov di with that address, or an addition to it
            if (preg_match('/[\xBE\xBD\xBF]'.preg_quote($address, '/').'/s', $code) === 1) {
                return true;
            }
        }

        return false;
    }

    private static function byActive(ByteSource $device, string $code, int $depth): LegacyCode
    {
        $table = MbrTable::read($device, 512);
        $active = array_values(
            array_filter(
                $table->partitions ?? [],
                static fn ($partition): bool => $partition->active && $partition->number <= 4,
            ),
        );
        if ($active === []) {
            return str_contains($code, self::GIVE_BACK) ? LegacyCode::Returns : LegacyCode::Stops;
        }
        $next =
            $depth >= self::DEEPEST ? LegacyCode::Unknown : self::judge($device, $active[0]->first * 512, $depth + 1);

        return match ($next) {
            // The code in sector 0 looks for the mark itself and says so.
            LegacyCode::NoMark => str_contains($code, self::GIVE_BACK) ? LegacyCode::Returns : LegacyCode::Stops,
            default => $next,
        };
    }
}
