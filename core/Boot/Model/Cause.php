<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

use Cobblestone\Media\Inspection\LoaderTrust;

/**
 * Why a stone of a crossing is missing, where it decides what mends it: carried, never read out of a sentence (rule
 * K5).
 */
enum Cause: string
{
    case NotPluggedIn = 'not-plugged-in';
    case UsbStartOff = 'usb-start-off';
    case NoSystemOnDrive = 'no-system-on-drive';
    /** The firmware starts the old way only. */
    case LegacyOnly = 'legacy-only';
    case Altered = 'altered';
    case Revoked = 'revoked';
    case Unsigned = 'unsigned';
    /** Signed by a signer that this machine trusts by a switch. */
    case SignerSwitchable = 'signer-switchable';
    /** Signed by a signer that this machine has no switch for. */
    case SignerUnknown = 'signer-unknown';
    case SignerNotEnrolled = 'signer-not-enrolled';

    /**
     * @param  bool  $bySwitch  whether its signer is one that machines trust by a setting
     * @param  bool  $hasSwitch  whether this machine trusts that signer by a setting
     */
    public static function ofRefused(LoaderTrust $trust, bool $bySwitch, bool $hasSwitch): self
    {
        return match (true) {
            $trust === LoaderTrust::Altered => self::Altered,
            $trust === LoaderTrust::Revoked => self::Revoked,
            $trust === LoaderTrust::Unsigned => self::Unsigned,
            $bySwitch && $hasSwitch => self::SignerSwitchable,
            $bySwitch => self::SignerUnknown,
            default => self::SignerNotEnrolled,
        };
    }
}
