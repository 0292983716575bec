<?php

namespace Tests\Support;

use Cobblestone\Boot\Medium\Leads;
use Cobblestone\Boot\Medium\LegacyCode;
use Cobblestone\Boot\Medium\Loader;
use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Medium\Seal;
use Cobblestone\Boot\Medium\Volume;
use Cobblestone\Boot\Model\BootDevice;
use Cobblestone\Boot\Model\BootEntry;
use Cobblestone\Boot\Model\BootState;
use Cobblestone\Boot\Model\Ground;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Media\Inspection\LoaderTrust;

/** Machines, drives and sticks for tests of the boot model: everything holds unless a test says otherwise. */
final class BootBench
{
    public const FACTS = [
        'firmware.kind' => 'uefi',
        'architecture' => 'x86-64',
        'firmware.boot_mode' => 'uefi',
        'firmware.secure_boot' => 'on',
    ];

    /** @param  array<string, mixed>  $with  changes of a loader */
    public static function loader(array $with = []): Loader
    {
        return new Loader(...[
            ...['path' => 'EFI/BOOT/BOOTX64.EFI', 'architecture' => 'x86-64', 'signed' => true, 'signer' => 'platform'],
            ...$with,
        ]);
    }

    /** @param  list<Loader>|null  $loaders */
    public static function medium(
        Leads $leads = Leads::Installer,
        ?array $loaders = null,
        ?string $fault = null,
        LegacyCode $legacy = LegacyCode::Zeros,
        bool $fat = true,
        ?string $guid = null,
        ?Seal $seal = null,
        array $modes = [],
    ): Medium {
        return new Medium(
            $leads,
            'a GPT',
            $fault,
            [new Volume('Partition 1', $fat, $loaders ?? [self::loader()], $guid)],
            $legacy,
            $seal,
            $modes,
        );
    }

    public static function stick(?Medium $medium = null, bool $attached = true, bool $readable = true): BootDevice
    {
        return new BootDevice('stick', 'The stick', BootDevice::STICK, $medium ?? self::medium(), $attached, $readable);
    }

    public static function drive(?Medium $medium = null): BootDevice
    {
        return new BootDevice('drive', 'The drive', BootDevice::DRIVE, $medium ?? self::medium(Leads::WantedSystem));
    }

    /**
     * @param  array<string, mixed>  $facts
     * @param  list<BootDevice>|null  $devices
     * @param  list<BootEntry>  $entries
     * @param  list<string>|null  $order
     * @param  list<string>  $assumed
     */
    public static function state(
        array $facts = [],
        ?array $devices = null,
        array $entries = [],
        ?array $order = null,
        ?string $chosen = null,
        array $assumed = [],
    ): BootState {
        $devices ??= [self::stick()];

        return new BootState(
            [...self::FACTS, ...$facts],
            $assumed,
            ['platform'],
            $devices,
            $entries,
            $order ?? [
                ...array_map(fn (BootEntry $entry): string => $entry->id, $entries),
                ...array_map(fn (BootDevice $device): string => $device->id, $devices),
            ],
            $chosen,
            ['third-party' => 'third_party_signer'],
        );
    }

    /**
     * @return array<string, callable(): array{BootState, Outcome, string|null, Ground}> one state for every way to end
     */
    public static function ends(): array
    {
        return [
            'signed, trusted' => fn () => [self::state(), Outcome::InstallerStarts, null, Ground::Standard],
            'unsigned, enforced' => fn () => [
                self::state(devices: [
                    self::stick(self::medium(loaders: [self::loader(['signed' => false, 'signer' => null])])),
                ]),
                Outcome::RefusedBySecureBoot,
                'signature',
                Ground::Standard,
            ],
            'unsigned, off' => fn () => [
                self::state(['firmware.secure_boot' => 'off'], [
                    self::stick(self::medium(loaders: [self::loader(['signed' => false, 'signer' => null])])),
                ]),
                Outcome::InstallerStarts,
                null,
                Ground::Standard,
            ],
            'set but in setup mode' => fn () => [
                self::state(['firmware.key_mode' => 'setup'], [
                    self::stick(self::medium(loaders: [self::loader(['signed' => false])])),
                ]),
                Outcome::InstallerStarts,
                null,
                Ground::Standard,
            ],
            'set but older devices allowed' => fn () => [
                self::state(['firmware.older_devices' => 'allowed'], [
                    self::stick(self::medium(loaders: [self::loader(['signed' => false])])),
                ]),
                Outcome::InstallerStarts,
                null,
                Ground::Standard,
            ],
            'set but both ways' => fn () => [
                self::state(['firmware.boot_mode' => 'both'], [
                    self::stick(self::medium(loaders: [self::loader(['signed' => false])])),
                ]),
                Outcome::InstallerStarts,
                null,
                Ground::Standard,
            ],
            'third-party, not trusted' => fn () => [
                self::state(
                    ['firmware.third_party_signer' => 'not trusted'],
                    [self::stick(self::medium(loaders: [self::loader(['signer' => 'third-party'])]))],
                ),
                Outcome::RefusedBySecureBoot,
                'signature',
                Ground::Standard,
            ],
            'third-party, no switch' => fn () => [
                self::state([], [self::stick(self::medium(loaders: [self::loader(['signer' => 'third-party'])]))]),
                Outcome::RefusedBySecureBoot,
                'signature',
                Ground::Standard,
            ],
            'third-party, trusted' => fn () => [
                self::state(
                    ['firmware.third_party_signer' => 'trusted'],
                    [self::stick(self::medium(loaders: [self::loader(['signer' => 'third-party'])]))],
                ),
                Outcome::InstallerStarts,
                null,
                Ground::Standard,
            ],
            'altered' => fn () => [
                self::state(devices: [
                    self::stick(self::medium(loaders: [self::loader(['judged' => LoaderTrust::Altered])])),
                ]),
                Outcome::RefusedBySecureBoot,
                'signature',
                Ground::Standard,
            ],
            'revoked' => fn () => [
                self::state(devices: [
                    self::stick(self::medium(loaders: [self::loader(['judged' => LoaderTrust::Revoked])])),
                ]),
                Outcome::RefusedBySecureBoot,
                'signature',
                Ground::Standard,
            ],
            'first trusted, next refused' => fn () => [
                self::state(devices: [
                    self::stick(self::medium(loaders: [self::loader(['nextRefused' => 'unsigned next'])])),
                ]),
                Outcome::LoaderStopped,
                'next stage',
                Ground::Emulation,
            ],
            'next refused, but not enforced' => fn () => [
                self::state(['firmware.secure_boot' => 'off'], [
                    self::stick(self::medium(loaders: [self::loader(['nextRefused' => 'unsigned next'])])),
                ]),
                Outcome::InstallerStarts,
                null,
                Ground::Standard,
            ],
            'next missing' => fn () => [
                self::state(['firmware.secure_boot' => 'off'], [
                    self::stick(self::medium(loaders: [self::loader(['nextFault' => 'no next'])])),
                ]),
                Outcome::LoaderStopped,
                'next stage',
                Ground::Emulation,
            ],
            'no program' => fn () => [
                self::state(devices: [self::stick(self::medium(loaders: [self::loader(['fault' => 'no program'])]))]),
                Outcome::LoaderMissing,
                'program',
                Ground::Standard,
            ],
            'only for another processor' => fn () => [
                self::state(devices: [
                    self::stick(self::medium(loaders: [
                        self::loader(['path' => 'EFI/BOOT/BOOTAA64.EFI', 'architecture' => 'arm-64']),
                    ])),
                ]),
                Outcome::WrongArchitecture,
                'loader',
                Ground::Standard,
            ],
            'another processor under our name' => fn () => [
                self::state(devices: [
                    self::stick(self::medium(loaders: [self::loader(['architecture' => 'arm-64'])])),
                ]),
                Outcome::WrongArchitecture,
                'program',
                Ground::Standard,
            ],
            'another processor, and unsigned' => fn () => [
                self::state(devices: [
                    self::stick(self::medium(loaders: [self::loader(['architecture' => 'arm-64', 'signed' => false])])),
                ]),
                Outcome::RefusedBySecureBoot,
                'signature',
                Ground::Standard,
            ],
            'no loader' => fn () => [
                self::state(devices: [self::stick(self::medium(loaders: []))]),
                Outcome::LoaderMissing,
                'loader',
                Ground::Standard,
            ],
            'no FAT' => fn () => [
                self::state(devices: [self::stick(self::medium(fat: false))]),
                Outcome::LoaderMissing,
                'volume',
                Ground::Standard,
            ],
            'no table' => fn () => [
                self::state(devices: [self::stick(self::medium(fault: 'no table at all'))]),
                Outcome::LoaderMissing,
                'table',
                Ground::Standard,
            ],
            'not plugged in' => fn () => [
                self::state(devices: [self::stick(attached: false)]),
                Outcome::NoBootableDevice,
                'device',
                Ground::Standard,
            ],
            'cannot be read' => fn () => [
                self::state(devices: [self::stick(readable: false)]),
                Outcome::StickUnreadable,
                'device',
                Ground::Standard,
            ],
            'USB start off' => fn () => [
                self::state(['firmware.usb_start' => 'off']),
                Outcome::NoBootableDevice,
                'device',
                Ground::Standard,
            ],
            'nothing in the list' => fn () => [
                self::state(devices: []),
                Outcome::NoBootableDevice,
                'choice',
                Ground::Standard,
            ],
            'old way, code' => fn () => [
                self::state(['firmware.kind' => 'bios'], [self::stick(self::medium(legacy: LegacyCode::Starts))]),
                Outcome::InstallerStarts,
                null,
                Ground::Standard,
            ],
            'old way, zeros' => fn () => [
                self::state(['firmware.kind' => 'bios']),
                Outcome::Silent,
                'boot sector',
                Ground::Emulation,
            ],
            'old way, a message' => fn () => [
                self::state(['firmware.boot_mode' => 'legacy'], [self::stick(self::medium(legacy: LegacyCode::Stops))]),
                Outcome::LoaderStopped,
                'boot sector',
                Ground::Emulation,
            ],
            'old way, no mark' => fn () => [
                self::state(['firmware.boot_mode' => 'legacy'], [
                    self::stick(self::medium(legacy: LegacyCode::NoMark)),
                ]),
                Outcome::NoBootableDevice,
                'boot sector',
                Ground::Standard,
            ],
            'old way, gives back' => fn () => [
                self::state(['firmware.boot_mode' => 'legacy'], [
                    self::stick(self::medium(legacy: LegacyCode::Returns)),
                ]),
                Outcome::NoBootableDevice,
                'boot sector',
                Ground::Emulation,
            ],
            'both ways: falls back to the old one' => fn () => [
                self::state(['firmware.boot_mode' => 'both'], [
                    self::stick(self::medium(fat: false, legacy: LegacyCode::Starts)),
                ]),
                Outcome::InstallerStarts,
                null,
                Ground::Standard,
            ],
            'both ways, neither works' => fn () => [
                self::state(['firmware.boot_mode' => 'both'], [
                    self::stick(self::medium(fat: false, legacy: LegacyCode::NoMark)),
                ]),
                Outcome::LoaderMissing,
                'volume',
                Ground::Standard,
            ],
            'blind installer' => fn () => [
                self::state(['firmware.controller_mode' => 'array'], [self::stick(self::medium(modes: ['plain']))]),
                Outcome::InstallerSeesNoDrive,
                'drives',
                Ground::Catalogue,
            ],
            'seeing installer' => fn () => [
                self::state(['firmware.controller_mode' => 'plain'], [self::stick(self::medium(modes: ['plain']))]),
                Outcome::InstallerStarts,
                null,
                Ground::Standard,
            ],
            'a system that loses its drive' => fn () => [
                self::state(['firmware.controller_mode' => 'array'], [
                    self::drive(self::medium(Leads::OldSystem, modes: ['plain'])),
                ]),
                Outcome::Silent,
                'drives',
                Ground::Catalogue,
            ],
            'a loader to nowhere' => fn () => [
                self::state(devices: [self::stick(self::medium(Leads::Nowhere))]),
                Outcome::Silent,
                'system',
                Ground::Emulation,
            ],
            'recovery' => fn () => [
                self::state(devices: [self::stick(self::medium(Leads::Recovery))]),
                Outcome::RecoveryStarts,
                null,
                Ground::Standard,
            ],
            'by an optical catalogue' => fn () => [
                self::state(devices: [
                    self::stick(new Medium(
                        Leads::Installer,
                        'x',
                        null,
                        self::medium()->volumes,
                        LegacyCode::NoMark,
                        byOptical: true,
                    )),
                ]),
                Outcome::InstallerStarts,
                null,
                Ground::Emulation,
            ],
            'sealed, its own system' => fn () => [
                self::state(['firmware.kind' => 'sealed'], [self::drive()]),
                Outcome::WantedSystemStarts,
                null,
                Ground::Catalogue,
            ],
            'sealed, held' => fn () => [
                self::state(['firmware.kind' => 'sealed', 'recovery.held' => 'yes'], [self::drive()]),
                Outcome::RecoveryStarts,
                null,
                Ground::Catalogue,
            ],
            'sealed, empty' => fn () => [
                self::state(['firmware.kind' => 'sealed'], []),
                Outcome::NoBootableDevice,
                'device',
                Ground::Catalogue,
            ],
        ];
    }
}
