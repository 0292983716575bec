<?php

namespace App\Models;

use App\Database\Kept;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\LogEntry;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use LogicException;

/**
 * One machine, one goal.
 *
 * @property int $id
 * @property string $title
 * @property int|null $slot
 * @property string $status open or handed-over
 * @property int $revision
 * @property int $last_entry id of the newest log entry
 * @property string $brief YAML
 * @property array<string, mixed> $summary
 * @property int $user_id
 * @property string|null $machine_serial
 * @property string|null $computer_name that its system is given
 * @property-read string|null $stick_in_hand made by the database from the summary
 * @property Carbon|null $remind_at
 * @property Carbon|null $handed_over_at
 * @property Carbon|null $owner_removed_at
 * @property Carbon|null $contents_removed_at
 * @property Carbon|null $backup_gone_at
 * @property Carbon|null $delete_by the day on which the copy of its files is deleted, as agreed
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property-read User $user
 * @property-read Collection<int, LogRecord> $entries
 */
final class Job extends Record
{
    use JobOfAddress;

    protected $table = 'jobs';

    protected $guarded = [];

    /** What this request has read of the job. */
    private ?CurrentPath $path = null;

    /** @var list<LogEntry>|null */
    private ?array $log = null;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'summary' => 'array',
            'remind_at' => 'datetime',
            'handed_over_at' => 'datetime',
            'owner_removed_at' => 'datetime',
            'contents_removed_at' => 'datetime',
            'backup_gone_at' => 'datetime',
            'delete_by' => 'date',
        ];
    }

    /** @return HasMany<LogRecord, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(LogRecord::class);
    }

    /** @return HasMany<PathRevision, $this> */
    public function plans(): HasMany
    {
        return $this->hasMany(PathRevision::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** The job, held by this transaction until it ends, so that two people cannot write at once. */
    public static function locked(int $id): self
    {
        $marks = Kept::isThere() ? ', mark, path_mark' : '';
        $row = DB::selectOne("select (held).*{$marks} from held_job(?)", [$id], false)
            ?? throw (new ModelNotFoundException)->setModel(self::class, [$id]);

        return (new self)->newFromBuilder((array) $row);
    }

    public function currentPlan(): CurrentPath
    {
        $mark = $this->getRawOriginal('path_mark');

        return $this->path ??= is_string($mark)
            ? CurrentPath::marked($this->id, $this->revision, $mark)
            : CurrentPath::ofJob($this->id);
    }

    /** @return list<LogEntry> oldest first */
    public function log(): array
    {
        $key = $this->logKey();

        return $this->log ??= $key === null ? $this->written() : Kept::of($key, $this->written(...));
    }

    /** Under what the log is at hand; null where the mark of the row is not known. */
    private function logKey(): ?string
    {
        $mark = $this->getRawOriginal('mark');

        return is_string($mark) ? "log {$this->id} {$this->last_entry} {$mark}" : null;
    }

    /** @return list<LogEntry> read as they are, without a model for each */
    private function written(): array
    {
        return array_values(DB::table('log_entries')
            ->where('job_id', $this->id)
            ->orderBy('id')
            ->select(['id', 'kind', 'step', 'role', 'data'])
            ->selectRaw('extract(epoch from created_at)::bigint as at')
            ->get()
            ->map(static fn (object $row): LogEntry => new LogEntry(
                (int) $row->id,
                EntryKind::from($row->kind),
                $row->step,
                (int) $row->at,
                $row->role,
                (array) json_decode((string) $row->data, true),
            ))
            ->all());
    }

    /** A line is added to the log by whoever holds this job: it counts from now on, and is written with the row. */
    public function noted(LogEntry $entry): void
    {
        $this->log = [...$this->log(), $entry];
        $key = $this->logKey();
        if ($key !== null) {
            // What was kept is one line short from here on.
            Kept::drop($key);
            unset($this->attributes['mark'], $this->original['mark']);
        }
    }

    /**
     * Writes the noted line and saves the row, in one statement: every stone that is laid waits for it. The log that
     * this request knows is at hand under the row's new mark for whoever looks next.
     *
     * @param  array<string, mixed>  $line  column => value
     * @return LogEntry the noted line under the number that the database has given it
     */
    public function saveNoted(array $line): LogEntry
    {
        $this->updateTimestamps();
        // Compared as they are stored: what only looks otherwise is written once more as it was.
        $dirty = array_udiff_assoc(
            $this->attributes,
            $this->original,
            static fn (mixed $is, mixed $was): int => $is === $was ? 0 : 1,
        );
        $names = implode(', ', array_map(static fn (string $of): string => "\"{$of}\"", array_keys($line)));
        $marks = implode(', ', array_fill(0, count($line), '?'));
        $set = array_map(static fn (string $of): string => "\"{$of}\" = ?, ", array_keys($dirty));
        $row = DB::selectOne(
            "with entry as (insert into log_entries ({$names}) values ({$marks}) returning id) "
                .'update jobs set '.implode('', $set).'last_entry = entry.id from entry where jobs.id = ? '
                .'returning entry.id as entry, jobs.xmin::text as mark',
            [...array_values($line), ...array_values($dirty), $this->id],
            false,
        );
        $this->attributes['last_entry'] = (int) $row->entry;
        $this->syncOriginal();
        if (Kept::isThere()) {
            $this->attributes['mark'] = $this->original['mark'] = $row->mark;
        }
        $log = $this->log();
        $entry = array_pop($log)?->numbered((int) $row->entry) ?? throw new LogicException('No line was noted.');
        $this->log = [...$log, $entry];
        Kept::put((string) $this->logKey(), $this->log);

        return $entry;
    }

    public function refresh(): static
    {
        $this->path = null;
        $this->log = null;

        return parent::refresh();
    }

    /** When, by whom and why the path was computed last, and what came of it; without the path itself. */
    public function currentRevision(): PathRevision
    {
        $revisions = $this->plans()->where('revision', $this->revision);

        return $revisions->firstOrFail(['id', 'job_id', 'revision', 'user_id', 'difference', 'reason', 'created_at']);
    }

    public function isOpen(): bool
    {
        return $this->status === 'open';
    }
}
