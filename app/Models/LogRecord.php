<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One line of the log; the database refuses to change it.
 *
 * @property int $id
 * @property int $job_id
 * @property int $revision
 * @property string $role
 * @property string $kind
 * @property string|null $step
 * @property array<string, mixed> $data
 * @property Carbon $created_at
 * @property-read User $user
 * @property-read Job $job
 */
final class LogRecord extends Record
{
    public const UPDATED_AT = null;

    protected $table = 'log_entries';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['data' => 'array'];
    }

    /** What somebody wrote; null where the line holds no words of anybody. */
    public function words(): ?string
    {
        $words = $this->data['text'] ?? null;

        return is_string($words) ? $words : null;
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }
}
