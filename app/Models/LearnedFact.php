<?php

namespace App\Models;

use Cobblestone\Machine\Facts\FactRegistry;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A fact that somebody found on a job and kept for its model, until the lead takes it into the catalogue or lets it
 * go (rule J13).
 *
 * @property int $id
 * @property int $job_id
 * @property string $model
 * @property string $fact
 * @property string $value
 * @property string $origin
 * @property string|null $decision
 * @property Carbon $created_at
 * @property-read User $user
 */
final class LearnedFact extends Record
{
    protected $table = 'learned_facts';

    protected $guarded = [];

    /** Whether a model's entry has a place for it. */
    public function mayEnterCatalogue(): bool
    {
        return isset(FactRegistry::learned()[$this->fact]) || str_starts_with($this->fact, FactRegistry::FIRMWARE);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
