<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One revision of a job's path: the first whole, the others as what they changed. Never altered once stored.
 *
 * @property int $job_id
 * @property int $revision
 * @property array<string, mixed>|null $plan
 * @property array<string, mixed>|null $change what made it out of the revision before it (core Document\Change)
 * @property array<string, mixed>|null $difference
 * @property string $reason
 * @property Carbon $created_at
 * @property-read User $user
 */
final class PathRevision extends Record
{
    public const UPDATED_AT = null;

    protected $table = 'plans';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['plan' => 'array', 'change' => 'array', 'difference' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
