<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * How one power-on really ended, beside what was predicted (rule B).
 *
 * @property int $id
 * @property int $job_id
 * @property int $revision
 * @property string $step
 * @property int $number
 * @property string|null $model
 * @property string $wants
 * @property string $predicted
 * @property string $ground
 * @property string $seen
 * @property bool $of_model
 * @property bool $looked
 * @property Carbon $created_at
 * @property-read User $user
 * @property-read Job $job
 */
final class BootObservation extends Record
{
    public const UPDATED_AT = null;

    protected $table = 'boot_observations';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['of_model' => 'boolean', 'looked' => 'boolean', 'created_at' => 'datetime'];
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
