<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\FactSheet;

/** Secure Boot set, and in force: two things (rule F2; UEFI specification 2.10, 32.3). */
final readonly class SecureBootState
{
    private function __construct(public ?bool $inForce, public string $because)
    {
    }

    public static function of(FactSheet $facts): self
    {
        $is = static fn (string $name, string $value): bool => $facts->get("firmware.{$name}")->is($value);
        if ($facts->get('firmware.kind')->is('bios')) {
            return new self(false, 'This firmware does not know it.');
        }
        if ($facts->get('firmware.secure_boot')->isUnknown()) {
            return new self(null, 'Nobody has looked at it yet.');
        }

        return match (true) {
            ! $is('secure_boot', 'on') => new self(false, 'It is off.'),
            $is('key_mode', 'setup') => new self(false, 'It is set, but there is no platform key: the machine stands in setup mode.'),
            $is('older_devices', 'allowed') => new self(false, 'It is set, but older devices are allowed beside it.'),
            $is('boot_mode', 'both'), $is('boot_mode', 'legacy') => new self(false, 'It is set, but the machine does not start by UEFI alone.'),
            default => new self(true, $facts->get('firmware.secure_boot')->isKnown() ? 'It is set, and nothing stands against it.' : 'It is taken to be set; nobody has looked at this machine yet.'),
        };
    }
}
