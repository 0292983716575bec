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
    /** On a detour: what comes first was done, a fix did not help, a fix helped. */
    case DidFirst = 'did-first';
    case DidNotHelp = 'did-not-help';
    case Helped = 'helped';
    case Note = 'note';
    case Waived = 'waived';
    case Waiting = 'waiting';
    case Resumed = 'resumed';
    case Unproven = 'unproven';
    case RollbackLost = 'rollback-lost';
    case Reminded = 'reminded';
    case Reality = 'reality';
    case SnapshotTaken = 'snapshot';
    case DevicesSeen = 'devices';
    case PhotoTaken = 'photo';
    case Tuning = 'tuning';
    case CopyDeleted = 'copy-deleted';
    case FinishedRead = 'finished-read';
    case RowsSeen = 'rows-seen';
    case KeySealed = 'key-sealed';
    case KeyShown = 'key-shown';
    case KeyDeleted = 'key-deleted';

    /** The past tense a log line reads. */
    public function title(): string
    {
        return match ($this) {
            self::Created => 'job opened',
            self::Replanned => 'path computed again',
            self::WalkedAway => 'walked away',
            self::Confirmed => 'one-way step confirmed',
            self::TakenBack => 'taken back',
            self::DidFirst => 'what comes first was done',
            self::DidNotHelp => 'tried, did not help',
            self::Waived => 'gate waived',
            self::Waiting => 'waits for somebody',
            self::Resumed => 'goes on',
            self::Unproven => 'lost its proof',
            self::RollbackLost => 'the old system\'s folder is gone',
            self::Reminded => 'reminder seen',
            self::Reality => 'it went otherwise',
            self::SnapshotTaken => 'settings recorded',
            self::DevicesSeen => 'devices counted',
            self::PhotoTaken => 'photo taken',
            self::Tuning => 'measured',
            self::CopyDeleted => 'copy of the files deleted',
            self::FinishedRead => 'finished machine read',
            self::RowsSeen => 'written down of the finished machine',
            self::KeySealed => 'key sealed',
            self::KeyShown => 'key shown',
            self::KeyDeleted => 'key deleted',
            default => $this->value,
        };
    }
}
