<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Encryption;

/** The branch that one volume's protection, binding and the planned changes lead to (rule A7). */
enum EncryptionBranch: string
{
    /** Nothing is encrypted. */
    case NotEncrypted = 'not-encrypted';
    /** No protector yet, so no recovery key exists; that is the evidence. */
    case KeyInClear = 'key-in-clear';
    /** A passphrase does not care about firmware. */
    case FirmwareDoesNotMatter = 'firmware-does-not-matter';
    /** Bound to the chip, but nothing planned touches what it is bound to. */
    case NothingTouchesIt = 'nothing-touches-it';
    /** Key in hand, suspend, resume. */
    case SuspendAndResume = 'suspend-and-resume';
    /** The drive is erased, its backup proven or waived: nothing to decrypt. */
    case ErasedAnyway = 'erased-anyway';
    /** The drive comes out and is kept: what is read from it elsewhere needs its key. */
    case ComesOut = 'comes-out';
    /** No key, no backup, no start. */
    case Stop = 'stop';
    /** Nobody knows, and it matters. */
    case Ask = 'ask';

    /**
     * @param  bool|null  $keyInHand  whether somebody has the recovery key; null while unknown
     * @param  bool|null  $systemStarts  whether the present system still starts; null while unknown
     */
    public static function of(
        Protection $protection,
        Binding $binding,
        EncryptionIntent $intent,
        ?bool $keyInHand,
        ?bool $systemStarts,
    ): self {
        if ($protection === Protection::None) {
            return self::NotEncrypted;
        }
        if ($protection === Protection::KeyInClear) {
            return self::KeyInClear;
        }
        $locked = $keyInHand === false && $systemStarts === false;
        if (! $intent->staysAfter) {
            return match (true) {
                $intent->somethingToKeep && $locked => self::Stop,
                $intent->comesOut() => self::ComesOut,
                default => self::ErasedAnyway,
            };
        }
        if ($protection === Protection::Passphrase) {
            return self::FirmwareDoesNotMatter;
        }
        $bites =
            array_filter($intent->triggers, static fn (Trigger $trigger): bool => $trigger->bites($binding)) !== [];
        if (! $bites) {
            return self::NothingTouchesIt;
        }

        return match (true) {
            $protection === Protection::Unknown => self::Ask,
            $keyInHand === false => self::Stop,
            default => self::SuspendAndResume,
        };
    }
}
