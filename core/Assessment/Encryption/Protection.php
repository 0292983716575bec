<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Encryption;

use Cobblestone\Machine\Facts\FactRegistry;

/** How one volume is protected (rule A7). */
enum Protection: string
{
    case None = 'none';
    case KeyInClear = 'key-in-clear';
    case Chip = 'chip';
    case ChipAndPin = 'chip-and-pin';
    case Passphrase = 'passphrase';
    case Unknown = 'unknown';

    /** What may be answered; unknown is not an answer. */
    public const ANSWERS = FactRegistry::PROTECTIONS;

    public function title(): string
    {
        return self::ANSWERS[$this->value] ?? 'unknown';
    }

    /** Whether a change around the chip can ask for the recovery key; what is unknown might. */
    public function mayAskForKey(): bool
    {
        return in_array($this, [self::Chip, self::ChipAndPin, self::Unknown], true);
    }

    /** Whether it is known that a change around the chip asks for the recovery key. */
    public function asksForKey(): bool
    {
        return in_array($this, [self::Chip, self::ChipAndPin], true);
    }

    /** Whether its data can be read in another machine only with a key. */
    public function needsKeyElsewhere(): bool
    {
        return ! in_array($this, [self::None, self::KeyInClear], true);
    }
}
