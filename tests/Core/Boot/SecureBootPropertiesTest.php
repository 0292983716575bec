<?php

use Cobblestone\Boot\Medium\Leads;
use Cobblestone\Boot\Medium\LegacyCode;
use Cobblestone\Boot\Medium\Loader;
use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Medium\Volume;
use Cobblestone\Boot\Model\BootDevice;
use Cobblestone\Boot\Model\BootModel;
use Cobblestone\Boot\Model\BootState;
use Cobblestone\Boot\Model\Outcome;
use Random\Engine\Mt19937;
use Random\Randomizer;

pest()->group('slow');

it('never refuses more with Secure Boot off', function () {
    $chance = new Randomizer(new Mt19937(99));
    $mended = 0;
    for ($i = 0; $i < 4000; $i++) {
        $state = anyState($chance, false)->knowing([
            'firmware.secure_boot' => 'on',
            'firmware.kind' => 'uefi',
            'firmware.boot_mode' => 'uefi',
            'firmware.usb_start' => 'on',
            'firmware.older_devices' => 'off',
            'firmware.key_mode' => 'factory',
        ]);
        $off = BootModel::start($state->knowing(['firmware.secure_boot' => 'off']));
        expect($off->outcome)->not->toBe(Outcome::RefusedBySecureBoot)
            ->and(array_column($off->passed, 'outcome'))->not->toContain(Outcome::RefusedBySecureBoot);
        $mended += BootModel::start($state)->outcome === Outcome::RefusedBySecureBoot ? 1 : 0;
    }
    expect($mended)->toBeGreaterThan(50);
});

it('enforces exactly where Secure Boot is in force', function () {
    $chance = new Randomizer(new Mt19937(31));
    $seen = ['yes' => 0, 'no' => 0];
    for ($i = 0; $i < 3000; $i++) {
        $state = anyState($chance, false)->knowing(['firmware.kind' => 'uefi', 'firmware.usb_start' => 'on']);
        $bare = new BootState(
            $state->facts,
            [],
            ['platform'],
            [
                new BootDevice(
                    'stick',
                    'Stick',
                    BootDevice::STICK,
                    new Medium(
                        Leads::Installer,
                        'a table',
                        null,
                        [
                            new Volume('Partition 1', true, [
                                new Loader(
                                    Cobblestone\Media\Inspection\FoundLoader::defaultPath(
                                        (string) $state->facts['architecture'],
                                    ),
                                    null,
                                    signed: false,
                                ),
                            ]),
                        ],
                        LegacyCode::Starts,
                    ),
                ),
            ],
            [],
            ['stick'],
        );
        if ($state->facts['firmware.boot_mode'] === 'legacy') {
            continue;
        }
        $force = Cobblestone\Machine\SecureBootState::fromValues($bare->facts)->inForce;
        expect(BootModel::start($bare)->outcome === Outcome::RefusedBySecureBoot)->toBe($force === true);
        $seen[$force ? 'yes' : 'no']++;
    }
    expect(min($seen))->toBeGreaterThan(100);
});
