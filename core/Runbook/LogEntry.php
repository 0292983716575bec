<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** One line of a job's log, never edited. */
final readonly class LogEntry
{
    /** @param  array<string, mixed>  $data */
    public function __construct(
        public int $id,
        public EntryKind $kind,
        public ?string $step,
        public int $at,
        public string $role,
        public array $data = [],
    ) {
    }
}
