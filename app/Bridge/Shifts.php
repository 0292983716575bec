<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Models\BenchEvent;
use Carbon\CarbonInterface;
use Cobblestone\Bench\ShiftLine;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\LogEntry;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * What was done since the last shift note, job by job, and how each stands. A note keeps how far of the log it goes and
 * how the jobs stood; what was written down stays in the log alone, and ends there when its time is over.
 */
final class Shifts
{
    public const KIND = 'shift-note';

    /** Before the first note: a shift is not longer. */
    private const FIRST_HOURS = 16;

    /** Entries of one shift that are read; of more, the newest. */
    public const MOST = 5000;

    public static function last(?BenchEvent $before = null): ?BenchEvent
    {
        $notes = BenchEvent::query();
        $notes->getQuery()->where('kind', self::KIND)->orderByDesc('id');
        if ($before !== null) {
            $notes->getQuery()->where('id', '<', $before->id);
        }

        return $notes->first();
    }

    /**
     * @param  int  $through  id of the last entry
     * @param  CarbonInterface  $end  of the shift
     * @return array<int, ShiftLine> job => what was done on it
     */
    public static function lines(?BenchEvent $last, int $through, CarbonInterface $end): array
    {
        $entries = [];
        foreach (self::rows($last, $through, $end) as $row) {
            $entries[(int) $row->job_id][] = new LogEntry(
                (int) $row->id,
                EntryKind::from($row->kind),
                $row->step,
                0,
                (string) $row->role,
                (array) json_decode((string) $row->data, true),
            );
        }
        $titles = self::titles(array_keys($entries));
        $lines = [];
        foreach ($entries as $job => $of) {
            $lines[$job] = ShiftLine::of($of, $titles[$job] ?? []);
        }

        return array_filter($lines, static fn (ShiftLine $line): bool => ! $line->isEmpty());
    }

    /** Whether there are more entries than are read: then the note tells of the newest. */
    public static function isCut(?BenchEvent $last, int $through): bool
    {
        return $last !== null && DB::table('log_entries')
            ->where('id', '>', (int) ($last->data['through'] ?? 0))
            ->where('id', '<=', $through)
            ->offset(self::MOST)
            ->limit(1)
            ->exists();
    }

    /** @return list<stdClass> oldest first */
    private static function rows(?BenchEvent $last, int $through, CarbonInterface $end): array
    {
        $rows = DB::table('log_entries')->where('id', '<=', $through)->orderByDesc('id')->limit(self::MOST);
        $last === null
            ? $rows->where('created_at', '>=', $end->copy()->subHours(self::FIRST_HOURS))
            : $rows->where('id', '>', (int) ($last->data['through'] ?? 0));

        return array_values($rows->get(['id', 'job_id', 'kind', 'step', 'role', 'data'])->reverse()->all());
    }

    /**
     * @param  list<int>  $jobs
     * @return array<int, array<string, string>> job => stone => title
     */
    private static function titles(array $jobs): array
    {
        $rows = DB::table('current_paths')->whereIn('job_id', $jobs)->get(['job_id', 'titles']);
        $titles = [];
        foreach ($rows as $row) {
            $titles[(int) $row->job_id] = array_map(strval(...), (array) json_decode((string) $row->titles, true));
        }

        return $titles;
    }

    /** Where the log stands now. */
    public static function newest(): int
    {
        return (int) DB::table('log_entries')->max('id');
    }
}
