<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/**
 * What the log says of a job as a whole, beside its stones: whom it waits for, whether an upgrade's way back is lost
 * (rules J10, I6).
 */
final readonly class JobState
{
    /**
     * @param  array{for: string, since: int, remind: int|null, text: string}|null  $waiting
     * @param  int  $remindedUntil  moment up to which reminders were seen
     */
    private function __construct(public ?array $waiting, public bool $rollbackLost, public int $remindedUntil)
    {
    }

    /** @param  list<LogEntry>  $entries oldest first */
    public static function of(array $entries): self
    {
        $waiting = null;
        $lost = false;
        $until = 0;
        foreach ($entries as $entry) {
            match ($entry->kind) {
                EntryKind::Waiting => ($waiting = [
                    'for' => $entry->said('for'),
                    'since' => $entry->at,
                    'remind' => is_int($entry->data['remind'] ?? null) ? $entry->data['remind'] : null,
                    'text' => $entry->said('text'),
                ]),
                EntryKind::Resumed => ($waiting = null),
                EntryKind::RollbackLost => ($lost = true),
                EntryKind::Reminded => ($until = $entry->at),
                default => null,
            };
        }

        return new self($waiting, $lost, $until);
    }
}
