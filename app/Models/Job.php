<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

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
 * @property Carbon|null $remind_at
 * @property Carbon|null $handed_over_at
 * @property Carbon|null $owner_removed_at
 * @property Carbon|null $contents_removed_at
 * @property Carbon|null $backup_gone_at
 * @property Carbon $created_at
 * @property Carbon $updated_at
 * @property-read User $user
 * @property-read Collection<int, LogEntry> $entries
 */
final class Job extends Record
{
    protected $table = 'jobs';

    protected $guarded = [];

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
        ];
    }

    /** @return HasMany<LogEntry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(LogEntry::class);
    }

    /** @return HasMany<Plan, $this> */
    public function plans(): HasMany
    {
        return $this->hasMany(Plan::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** The job, held by this transaction until it ends, so that two people cannot write at once. */
    public static function locked(int $id): self
    {
        $query = self::query()->whereKey($id);
        $query->getQuery()->lockForUpdate();

        return $query->firstOrFail();
    }

    public function currentPlan(): Plan
    {
        return $this->plans()->where('revision', $this->revision)->firstOrFail();
    }

    public function isOpen(): bool
    {
        return $this->status === 'open';
    }
}
