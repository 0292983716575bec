<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Every setting as somebody read it off a machine; never changed afterwards (rules F2, F3).
 *
 * @property int $id
 * @property int $job_id
 * @property array<string, string> $settings
 * @property string $origin form or paste
 * @property string|null $pasted
 * @property string|null $photo name of the file under var/photos
 * @property list<string> $notes
 * @property Carbon $created_at
 * @property-read User $user
 */
final class FirmwareSnapshot extends Record
{
    public const UPDATED_AT = null;

    protected $table = 'firmware_snapshots';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['settings' => 'array', 'notes' => 'array', 'created_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
