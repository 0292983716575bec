<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Facts;

/** Facts of a machine's firmware: its settings, and what was seen of them (rules F1–F5). */
final class FactsOfFirmware
{
    /** @return list<FactDefinition> what is known of any firmware, whether a model lists it as a setting or not */
    public static function all(): array
    {
        return [...self::bToK(), ...self::oToS(), ...self::tToV()];
    }

    /** @return list<FactDefinition> */
    private static function bToK(): array
    {
        return [
            new FactDefinition(
                'firmware.boot_mode', FactType::Choice, FactOwner::Model,
                values: ['uefi', 'both', 'legacy'],
                spoken: 'start mode',
            ),
            new FactDefinition('firmware.charge', FactType::Text, FactOwner::Model),
            new FactDefinition(
                'firmware.controller_mode', FactType::Choice, FactOwner::Model,
                values: ['plain', 'array'],
                spoken: 'drive controller',
            ),
            new FactDefinition('firmware.date', FactType::Text, FactOwner::Machine, givenBy: ['dmidecode', 'lshw']),
            new FactDefinition('firmware.graphics_memory', FactType::Text, FactOwner::Model),
            new FactDefinition(
                'firmware.key_mode', FactType::Choice, FactOwner::Model,
                values: ['factory', 'setup', 'custom'],
                givenBy: ['mokutil'],
            ),
            new FactDefinition(
                'firmware.kind', FactType::Choice, FactOwner::Model,
                values: ['uefi', 'bios'],
                spoken: 'whether it has UEFI firmware',
                asking: new Asking(
                    'Does the machine start by UEFI or the old way?',
                    offers: ['uefi' => 'by UEFI', 'bios' => 'only the old way'],
                ),
                givenBy: ['efibootmgr', 'mokutil', 'collector'],
            ),
        ];
    }

    /** @return list<FactDefinition> */
    private static function oToS(): array
    {
        return [
            new FactDefinition(
                'firmware.older_devices', FactType::Choice, FactOwner::Model,
                values: ['off', 'allowed'],
                spoken: 'older devices (compatibility)',
            ),
            new FactDefinition('firmware.power_mode', FactType::Text, FactOwner::Model),
            new FactDefinition('firmware.revocations', FactType::Text, FactOwner::Machine),
            new FactDefinition(
                'firmware.secure_boot', FactType::Choice, FactOwner::Model,
                values: ['on', 'off'],
                spoken: 'Secure Boot',
                asking: new Asking('Is Secure Boot set on or off?', offers: ['on' => 'on', 'off' => 'off']),
                givenBy: ['mokutil'],
            ),
            new FactDefinition(
                'firmware.secure_boot_capable', FactType::Text, FactOwner::Model,
                givenBy: ['mokutil'],
            ),
            new FactDefinition(
                'firmware.secure_boot_in_force', FactType::Text, FactOwner::Model,
                givenBy: ['mokutil'],
            ),
            new FactDefinition('firmware.security_chip', FactType::Choice, FactOwner::Model),
            new FactDefinition(
                'firmware.supervisor_password', FactType::Choice, FactOwner::Machine,
                asking: new Asking(
                    'Is there a supervisor password on the setup?',
                    offers: ['none' => 'none', 'known' => 'known', 'lost' => 'lost'],
                ),
            ),
        ];
    }

    /** @return list<FactDefinition> */
    private static function tToV(): array
    {
        return [
            new FactDefinition(
                'firmware.third_party_signer', FactType::Choice, FactOwner::Model,
                values: ['trusted', 'not trusted'],
                spoken: 'third-party signer',
            ),
            new FactDefinition('firmware.uefi_capable', FactType::Text, FactOwner::Model, givenBy: ['lshw']),
            new FactDefinition(
                'firmware.usb_start', FactType::Choice, FactOwner::Model,
                values: ['on', 'off'],
                spoken: 'start from USB',
            ),
            new FactDefinition(
                'firmware.version', FactType::Text, FactOwner::Machine,
                asking: new Asking(
                    'Which firmware version does the machine show now?',
                    'As the setup shows it, such as "1.14".',
                ),
                givenBy: ['dmidecode', 'lshw'],
                holds: FactDefinition::DIGIT,
            ),
        ];
    }
}
