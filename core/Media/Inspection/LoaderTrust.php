<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

/** Whether firmware that enforces Secure Boot would start a loader (rule M2). */
enum LoaderTrust: string
{
    case Trusted = 'trusted';
    case SignerNotEnrolled = 'signer-not-enrolled';
    case Altered = 'altered';
    case Revoked = 'revoked';
    case Unsigned = 'unsigned';
    case NextStage = 'next-stage';
    case CannotTell = 'cannot-tell';

    public function title(): string
    {
        return match ($this) {
            self::Trusted => 'signed, trusted here',
            self::SignerNotEnrolled => 'signed, but its signer is not enrolled',
            self::Altered => 'altered after it was signed',
            self::Revoked => 'revoked',
            self::Unsigned => 'unsigned',
            self::NextStage => 'signed, but what it loads next is unsigned or missing',
            self::CannotTell => 'signed; cannot tell whether it is trusted',
        };
    }

    /** Whether Secure Boot in force would refuse it; null where that cannot be told. */
    public function isRefused(): ?bool
    {
        return match ($this) {
            self::Trusted => false,
            self::CannotTell => null,
            default => true,
        };
    }

    /**
     * Whether the firmware itself refuses it; a next stage is refused by the first loader, which has started by then.
     */
    public function isRefusedAtFirst(): ?bool
    {
        return $this === self::NextStage ? false : $this->isRefused();
    }
}
