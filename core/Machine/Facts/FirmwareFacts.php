<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Facts;

/** Facts of a machine's firmware: its settings, and what was seen of them (rules F1–F5). */
final class FirmwareFacts
{
    /** @return list<FactDefinition> what is known of any firmware, whether a model lists it as a setting or not */
    public static function ofFirmware(): array
    {
        return [
            new FactDefinition(
                'firmware.boot_mode', FactType::Choice, FactOwner::Model, values: ['uefi', 'both', 'legacy'],
            ),
            new FactDefinition('firmware.charge', FactType::Text, FactOwner::Model),
            new FactDefinition(
                'firmware.controller_mode', FactType::Choice, FactOwner::Model, values: ['plain', 'array'],
            ),
            new FactDefinition('firmware.date', FactType::Text, FactOwner::Machine),
            new FactDefinition('firmware.graphics_memory', FactType::Text, FactOwner::Model),
            new FactDefinition(
                'firmware.key_mode', FactType::Choice, FactOwner::Model, values: ['factory', 'setup', 'custom'],
            ),
            new FactDefinition(
                'firmware.kind', FactType::Choice, FactOwner::Model, values: ['uefi', 'bios'], spoken: 'whether it has UEFI firmware',
            ),
            new FactDefinition(
                'firmware.older_devices', FactType::Choice, FactOwner::Model, values: ['off', 'allowed'],
            ),
            new FactDefinition('firmware.power_mode', FactType::Text, FactOwner::Model),
            new FactDefinition('firmware.revocations', FactType::Text, FactOwner::Machine),
            new FactDefinition('firmware.secure_boot', FactType::Choice, FactOwner::Model, values: ['on', 'off']),
            new FactDefinition('firmware.secure_boot_capable', FactType::Text, FactOwner::Model),
            new FactDefinition('firmware.secure_boot_in_force', FactType::Text, FactOwner::Model),
            new FactDefinition('firmware.security_chip', FactType::Text, FactOwner::Model),
            new FactDefinition('firmware.supervisor_password', FactType::Text, FactOwner::Machine),
            new FactDefinition(
                'firmware.third_party_signer', FactType::Choice, FactOwner::Model, values: ['trusted', 'not trusted'],
            ),
            new FactDefinition('firmware.uefi_capable', FactType::Text, FactOwner::Model),
            new FactDefinition('firmware.usb_start', FactType::Choice, FactOwner::Model, values: ['on', 'off']),
            new FactDefinition('firmware.version', FactType::Text, FactOwner::Machine),
        ];
    }
}
