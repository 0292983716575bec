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
}
