<?php

namespace App\Models;

use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Crypt;

/**
 * A recovery or licence key, encrypted until the handover; no list, log or page holds the key itself.
 *
 * @property int $id
 * @property int $job_id
 * @property string $kind
 * @property string $label
 * @property string|null $sealed
 * @property Carbon $expires_at
 * @property Carbon|null $deleted_at
 * @property Carbon $created_at
 * @property-read User $user
 */
final class SealedKey extends Record
{
    public const KINDS = ['recovery' => 'recovery key', 'licence' => 'licence key'];

    protected $table = 'sealed_keys';

    protected $guarded = [];

    protected $hidden = ['sealed'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['sealed' => 'encrypted', 'expires_at' => 'datetime', 'deleted_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public function isKept(): bool
    {
        return $this->deleted_at === null && $this->expires_at->isFuture();
    }

    /** The key in clear; null where it is gone, or was sealed with an application key that is lost. */
    public function opened(): ?string
    {
        $sealed = $this->getRawOriginal('sealed');
        try {
            return $sealed === null ? null : Crypt::decryptString($sealed);
        } catch (DecryptException) {
            return null;
        }
    }

    /** Deletes the key itself; that there was one stays on record. */
    public function forget(): void
    {
        $this->update(['sealed' => null, 'deleted_at' => $this->deleted_at ?? now()]);
    }

    /** Deletes keys whose time is over: the watcher does, whether or not anybody looks. */
    public static function forgetExpired(): int
    {
        return self::query()
            ->where('deleted_at', null)
            ->where('expires_at', '<=', now())
            ->update(['sealed' => null, 'deleted_at' => now()]);
    }
}
