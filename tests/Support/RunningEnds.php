<?php

namespace Tests\Support;

use Cobblestone\Boot\Medium\Leads;
use Cobblestone\Boot\Medium\LegacyCode;
use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Model\BootState;
use Cobblestone\Boot\Model\Ground;
use Cobblestone\Boot\Model\Outcome;

/** Ends that depend on the way of starting and on what runs then. */
final class RunningEnds
{
    /** @return array<string, callable(): array{BootState, Outcome, string|null, Ground}> */
    public static function all(): array
    {
        return [...self::oldWay(), ...self::bothWays(), ...self::drives(), ...self::behind(), ...self::sealed()];
    }

    /** @return array<string, callable(): array{BootState, Outcome, string|null, Ground}> started the old way */
    private static function oldWay(): array
    {
        return [
            'old way, code' => fn () => BootEnd::installs(BootEnd::stick(
                ['firmware.kind' => 'bios'],
                BootBench::medium(legacy: LegacyCode::Starts),
            )),
            'old way, zeros' => fn () => BootEnd::ends(
                BootBench::state(['firmware.kind' => 'bios']),
                Outcome::Silent,
                'boot sector',
                Ground::Emulation,
            ),
            'old way, a message' => fn () => BootEnd::ends(
                BootEnd::stick(['firmware.boot_mode' => 'legacy'], BootBench::medium(legacy: LegacyCode::Stops)),
                Outcome::LoaderStopped,
                'boot sector',
                Ground::Emulation,
            ),
            'old way, no mark' => fn () => BootEnd::ends(
                BootEnd::stick(['firmware.boot_mode' => 'legacy'], BootBench::medium(legacy: LegacyCode::NoMark)),
                Outcome::NoBootableDevice,
                'boot sector',
            ),
            'old way, gives back' => fn () => BootEnd::ends(
                BootEnd::stick(['firmware.boot_mode' => 'legacy'], BootBench::medium(legacy: LegacyCode::Returns)),
                Outcome::NoBootableDevice,
                'boot sector',
                Ground::Emulation,
            ),
        ];
    }

    /** @return array<string, callable(): array{BootState, Outcome, string|null, Ground}> started both ways */
    private static function bothWays(): array
    {
        return [
            'both ways: falls back to the old one' => fn () => BootEnd::installs(BootEnd::stick(
                ['firmware.boot_mode' => 'both'],
                BootBench::medium(fat: false, legacy: LegacyCode::Starts),
            )),
            'both ways, neither works' => fn () => BootEnd::ends(
                BootEnd::stick(
                    ['firmware.boot_mode' => 'both'],
                    BootBench::medium(fat: false, legacy: LegacyCode::NoMark),
                ),
                Outcome::LoaderMissing,
                'volume',
            ),
        ];
    }

    /** @return array<string, callable(): array{BootState, Outcome, string|null, Ground}> sees its drives or not */
    private static function drives(): array
    {
        return [
            'blind installer' => fn () => BootEnd::ends(
                BootEnd::stick(['firmware.controller_mode' => 'array'], BootBench::medium(modes: ['plain'])),
                Outcome::InstallerSeesNoDrive,
                'drives',
                Ground::Catalogue,
            ),
            'seeing installer' => fn () => BootEnd::installs(BootEnd::stick(
                ['firmware.controller_mode' => 'plain'],
                BootBench::medium(modes: ['plain']),
            )),
            'a system that loses its drive' => fn () => BootEnd::ends(
                BootBench::state(['firmware.controller_mode' => 'array'], [
                    BootBench::drive(BootBench::medium(Leads::OldSystem, modes: ['plain'])),
                ]),
                Outcome::Silent,
                'drives',
                Ground::Catalogue,
            ),
        ];
    }

    /** @return array<string, callable(): array{BootState, Outcome, string|null, Ground}> behind the loader */
    private static function behind(): array
    {
        return [
            'a loader to nowhere' => fn () => BootEnd::ends(
                BootEnd::stick([], BootBench::medium(Leads::Nowhere)),
                Outcome::Silent,
                'system',
                Ground::Emulation,
            ),
            'recovery' => fn () => BootEnd::ends(
                BootEnd::stick([], BootBench::medium(Leads::Recovery)),
                Outcome::RecoveryStarts,
            ),
            'by an optical catalogue' => fn () => BootEnd::ends(
                BootEnd::stick(
                    [],
                    new Medium(
                        Leads::Installer,
                        'x',
                        null,
                        BootBench::medium()->volumes,
                        LegacyCode::NoMark,
                        byOptical: true,
                    ),
                ),
                Outcome::InstallerStarts,
                null,
                Ground::Emulation,
            ),
        ];
    }

    /** @return array<string, callable(): array{BootState, Outcome, string|null, Ground}> a sealed machine */
    private static function sealed(): array
    {
        return [
            'sealed, its own system' => fn () => BootEnd::ends(
                BootBench::state(['firmware.kind' => 'sealed'], [BootBench::drive()]),
                Outcome::WantedSystemStarts,
                null,
                Ground::Catalogue,
            ),
            'sealed, held' => fn () => BootEnd::ends(
                BootBench::state(['firmware.kind' => 'sealed', 'recovery.held' => 'yes'], [BootBench::drive()]),
                Outcome::RecoveryStarts,
                null,
                Ground::Catalogue,
            ),
            'sealed, empty' => fn () => BootEnd::ends(
                BootBench::state(['firmware.kind' => 'sealed'], []),
                Outcome::NoBootableDevice,
                'device',
                Ground::Catalogue,
            ),
        ];
    }
}
