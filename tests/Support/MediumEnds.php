<?php

namespace Tests\Support;

use Cobblestone\Boot\Model\BootState;
use Cobblestone\Boot\Model\Ground;
use Cobblestone\Boot\Model\Outcome;

/** Ends that depend on what lies on the stick, and whether it is there. */
final class MediumEnds
{
    /** @return array<string, callable(): array{BootState, Outcome, string|null, Ground}> */
    public static function all(): array
    {
        return [...self::programs(), ...self::media()];
    }

    /**
     * @return array<string, callable(): array{BootState, Outcome, string|null, Ground}> a loader that is none, or for
     * another processor
     */
    private static function programs(): array
    {
        return [
            'no program' => fn () => BootEnd::ends(
                BootEnd::loaded(['fault' => 'no program']),
                Outcome::LoaderMissing,
                'program',
            ),
            'only for another processor' => fn () => BootEnd::ends(
                BootEnd::loaded(['path' => 'EFI/BOOT/BOOTAA64.EFI', 'architecture' => 'arm-64']),
                Outcome::WrongArchitecture,
                'loader',
            ),
            'another processor under our name' => fn () => BootEnd::ends(
                BootEnd::loaded(['architecture' => 'arm-64']),
                Outcome::WrongArchitecture,
                'program',
            ),
            'another processor, and unsigned' => fn () => BootEnd::refuses(BootEnd::loaded([
                'architecture' => 'arm-64',
                'signed' => false,
            ])),
            'no loader' => fn () => BootEnd::ends(
                BootEnd::stick([], BootBench::medium(loaders: [])),
                Outcome::LoaderMissing,
                'loader',
            ),
        ];
    }

    /**
     * @return array<string, callable(): array{BootState, Outcome, string|null, Ground}> what stands before any loader
     */
    private static function media(): array
    {
        return [
            'no FAT' => fn () => BootEnd::ends(
                BootEnd::stick([], BootBench::medium(fat: false)),
                Outcome::LoaderMissing,
                'volume',
            ),
            'no table' => fn () => BootEnd::ends(
                BootEnd::stick([], BootBench::medium(fault: 'no table at all')),
                Outcome::LoaderMissing,
                'table',
            ),
            'not plugged in' => fn () => BootEnd::ends(
                BootEnd::stick([], attached: false),
                Outcome::NoBootableDevice,
                'device',
            ),
            'cannot be read' => fn () => BootEnd::ends(
                BootEnd::stick([], readable: false),
                Outcome::StickUnreadable,
                'device',
            ),
            'USB start off' => fn () => BootEnd::ends(
                BootBench::state(['firmware.usb_start' => 'off']),
                Outcome::NoBootableDevice,
                'device',
            ),
            'nothing in the list' => fn () => BootEnd::ends(
                BootBench::state(devices: []),
                Outcome::NoBootableDevice,
                'choice',
            ),
        ];
    }
}
