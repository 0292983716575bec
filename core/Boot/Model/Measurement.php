<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

use Cobblestone\Machine\SecureBootState;

/**
 * What a machine measures into its security chip before a system starts, as far as a volume's key may depend on it
 * (rule A7).
 */
final class Measurement
{
    /** @return array<string, string> name => value; an unknown value equals itself */
    public static function of(BootState $state): array
    {
        $fact = static fn (string $name): string => is_bool($value = $state->facts[$name] ?? 'unknown')
            ? ($value
                ? 'yes'
                : 'no')
            : (string) $value;
        $force = SecureBootState::fromValues($state->facts)->inForce;

        return [
            'secure boot' => match ($force) {
                true => 'in force',
                false => 'not in force',
                null => 'unknown',
            },
            'key mode' => $fact('firmware.key_mode'),
            'signers' => $fact('firmware.third_party_signer'),
            'revocations' => $fact('firmware.revocations'),
            'firmware version' => $fact('firmware.version'),
            'boot order' => implode(
                ' ',
                array_filter(
                    $state->order,
                    static fn (string $id): bool => $state->device($id)?->kind !== BootDevice::STICK ||
                        $id === ($state->order[0] ?? null),
                ),
            ),
            'loader' => $fact('system.loader'),
            'cards' => $fact('machine.cards'),
            'security chip' => $fact('firmware.security_chip'),
            'board' => $fact('board.serial'),
            'drive' => $fact('machine.holding-drive'),
        ];
    }
}
