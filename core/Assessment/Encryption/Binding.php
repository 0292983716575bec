<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Encryption;

use Cobblestone\Machine\Facts\FactRegistry;

/** What a chip-bound volume is bound to; while nobody knows, the wider one is taken (rule A7). */
enum Binding: string
{
    case Keys = 'keys';
    case Measured = 'measured';
    case Unknown = 'unknown';

    /** What may be answered. */
    public const ANSWERS = FactRegistry::BINDINGS;

    public function title(): string
    {
        return self::ANSWERS[$this->value] ?? 'not known, so the wider binding is assumed';
    }
}
