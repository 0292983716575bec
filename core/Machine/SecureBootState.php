<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

/** Secure Boot set, and in force: two things (rule F2; UEFI specification 2.10, 32.3). */
final readonly class SecureBootState
{
    private function __construct(public ?bool $inForce, public string $because)
    {
    }

    public static function of(FactSheet $facts): self
    {
        $values = [];
        foreach (['kind', 'secure_boot', 'key_mode', 'older_devices', 'boot_mode'] as $name) {
            $value = $facts->get("firmware.{$name}")->value;
            $values["firmware.{$name}"] = is_scalar($value) ? $value : null;
        }
        $state = self::fromValues($values);

        return $state->inForce === true && ! $facts->get('firmware.secure_boot')->isKnown()
            ? new self(true, 'It is taken to be set; nobody has looked at this machine yet.')
            : $state;
    }

    /**
     * @param  array<string, bool|int|float|string|null>  $facts  named as on the fact sheet; a setting the machine
     *     does not have is not among them
     */
    public static function fromValues(array $facts): self
    {
        $value = static fn (string $name): bool|int|float|string|null => $facts["firmware.{$name}"] ?? null;

        return match (true) {
            $value('kind') === 'bios' => new self(false, 'This firmware does not know it.'),
            $value('secure_boot') === null => new self(null, 'Nobody has looked at it yet.'),
            $value('secure_boot') !== 'on' => new self(false, 'It is off.'),
            $value('key_mode') === 'setup' => new self(
                false,
                'It is set, but there is no platform key: the machine stands in setup mode.',
            ),
            $value('older_devices') === 'allowed' => new self(
                false,
                'It is set, but older devices are allowed beside it.',
            ),
            in_array($value('boot_mode'), ['both', 'legacy'], true) => new self(
                false,
                'It is set, but the machine does not start by UEFI alone.',
            ),
            default => new self(true, 'It is set, and nothing that is known stands against it.'),
        };
    }
}
