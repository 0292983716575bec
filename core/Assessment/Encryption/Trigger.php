<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Encryption;

/** What can make a chip-bound volume ask for its recovery key (rule A7). */
enum Trigger: string
{
    case SecureBootState = 'secure-boot-state';
    case Keys = 'keys';
    case Revocations = 'revocations';
    case FirmwareVersion = 'firmware-version';
    case BootOrder = 'boot-order';
    case Loader = 'loader';
    case Card = 'card';
    case ChipOffOrCleared = 'chip-off-or-cleared';
    case BoardSwap = 'board-swap';
    case DriveMoved = 'drive-moved';

    /** Always, whatever the volume is bound to. */
    private const ALWAYS = [self::ChipOffOrCleared, self::BoardSwap, self::DriveMoved];

    private const BY_KEYS = [self::SecureBootState, self::Keys, self::Revocations];

    public function title(): string
    {
        return match ($this) {
            self::SecureBootState => 'Secure Boot is switched',
            self::Keys => 'its keys change',
            self::Revocations => 'its revocations change',
            self::FirmwareVersion => 'the firmware is updated',
            self::BootOrder => 'the boot order changes',
            self::Loader => 'the loader changes',
            self::Card => 'a card or dock is added or removed',
            self::ChipOffOrCleared => 'the security chip is off or cleared',
            self::BoardSwap => 'the board is swapped',
            self::DriveMoved => 'the drive moves to another machine',
        };
    }

    /** Whether this change brings up the prompt of a volume bound like that. */
    public function bites(Binding $binding): bool
    {
        return in_array($this, self::ALWAYS, true) ||
            $binding !== Binding::Keys ||
            in_array($this, self::BY_KEYS, true);
    }

    /** The firmware settings whose change is such a trigger. */
    public static function ofSetting(string $setting): ?self
    {
        return match ($setting) {
            'secure_boot', 'boot_mode', 'older_devices' => self::SecureBootState,
            'third_party_signer' => self::Keys,
            'boot_order' => self::BootOrder,
            'security_chip' => self::ChipOffOrCleared,
            default => null,
        };
    }

    /** Whether putting the old value back makes the prompt go away (not possible after a firmware update). */
    public function canBePutBack(): bool
    {
        return ! in_array($this, [self::FirmwareVersion, self::BoardSwap], true);
    }
}
