<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** What a log entry can say about a job. */
enum EntryKind: string
{
    case Created = 'created';
    case Replanned = 'replanned';
    case Started = 'started';
    case WalkedAway = 'walked-away';
    case Confirmed = 'confirmed';
    case Done = 'done';
    case TakenBack = 'taken-back';
    case Problem = 'problem';
    case Retry = 'retry';
    case Note = 'note';
    case Waived = 'waived';

    /** The past tense a log line reads. */
    public function title(): string
    {
        return match ($this) {
            self::Created => 'job opened',
            self::Replanned => 'path computed again',
            self::WalkedAway => 'walked away',
            self::Confirmed => 'one-way step confirmed',
            self::TakenBack => 'taken back',
            self::Waived => 'gate waived',
            default => $this->value,
        };
    }
}
