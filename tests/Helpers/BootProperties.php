<?php

use Cobblestone\Assessment\Encryption\Binding;
use Cobblestone\Assessment\Encryption\Protection;
use Cobblestone\Boot\Medium\Leads;
use Cobblestone\Boot\Medium\LegacyCode;
use Cobblestone\Boot\Medium\Loader;
use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Medium\Seal;
use Cobblestone\Boot\Medium\Volume;
use Cobblestone\Boot\Model\BootDevice;
use Cobblestone\Boot\Model\BootEntry;
use Cobblestone\Boot\Model\BootState;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Media\Inspection\LoaderTrust;
use Random\Randomizer;

/** One of the values, by chance. */
function oneOf(Randomizer $chance, array $values): mixed
{
    return $values[$chance->getInt(0, count($values) - 1)];
}

function anyMedium(Randomizer $chance): Medium
{
    $loaders = [];
    for ($i = $chance->getInt(0, 3); $i > 0; $i--) {
        $loaders[] = new Loader(
            oneOf($chance, ['EFI/BOOT/BOOTX64.EFI', 'EFI/BOOT/BOOTAA64.EFI', 'EFI/present/loader.efi']),
            oneOf($chance, ['x86-64', 'arm-64', null]),
            oneOf($chance, [null, null, null, 'no program']),
            oneOf($chance, [true, false, null]),
            oneOf($chance, ['platform', 'third-party', null]),
            oneOf($chance, [null, null, ...LoaderTrust::cases()]),
            '',
            oneOf($chance, [null, null, 'next missing']),
            oneOf($chance, [null, null, 'next unsigned']));
    }
    $seal = oneOf($chance, [
        null,
        null,
        new Seal(
            oneOf($chance, Protection::cases()),
            oneOf($chance, Binding::cases()),
            ['secure boot' => oneOf($chance, ['in force', 'not in force']), 'board' => 'x'],
            $chance->getInt(0, 2),
        ),
    ]);

    return new Medium(
        oneOf($chance, Leads::cases()),
        'a table',
        oneOf($chance, [null, null, null, 'no table']),
        [
            new Volume(
                'Partition 1',
                oneOf($chance, [true, true, false]),
                $loaders,
                oneOf($chance, ['present', 'new', null]),
            ),
        ],
        oneOf($chance, LegacyCode::cases()),
        $seal,
        oneOf($chance, [[], ['plain'], ['plain', 'array']]),
        oneOf($chance, [true, false]),
    );
}

/** Any machine at all, with unknowns where $unknowns says so. */
function anyState(Randomizer $chance, bool $unknowns): BootState
{
    $facts = [];
    foreach (FactRegistry::values() as $name => $values) {
        $value = oneOf($chance, [...$values, ...($unknowns ? [null] : [])]);
        if (
            in_array(
                $name,
                [
                    'firmware.kind', 'architecture', 'firmware.boot_mode', 'firmware.secure_boot', 'loader.signature',
                    'legacy.code',
                ],
                true,
            )
                || $chance->getInt(0, 1) === 1
        ) {
            $facts[$name] = $value;
        }
    }
    if ($chance->getInt(0, 9) === 0) {
        $facts['firmware.kind'] = 'sealed';
        $facts['recovery.held'] = oneOf($chance, ['yes', 'no']);
    }
    $devices = [
        new BootDevice(
            'stick',
            'Stick',
            BootDevice::STICK,
            anyMedium($chance),
            oneOf($chance, [true, true, false]),
            oneOf($chance, [true, true, false]),
        ),
        new BootDevice('drive', 'Drive', BootDevice::DRIVE, anyMedium($chance)),
    ];
    $entries = oneOf($chance, [
        [],
        [new BootEntry('present', 'Line', 'drive', 'present', 'EFI/present/loader.efi')],
        [new BootEntry('lost', 'Line', 'nowhere')],
    ]);
    $order = $chance->shuffleArray([
        'stick',
        'drive',
        ...array_map(fn (BootEntry $entry): string => $entry->id, $entries),
    ]);

    return new BootState(
        $facts,
        oneOf($chance, [[], ['firmware.boot_mode', 'firmware.secure_boot']]),
        ['platform'],
        $devices,
        $entries,
        $order,
        oneOf($chance, [null, 'stick', 'drive', 'nothing']),
    );
}
