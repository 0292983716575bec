<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Something that happened to the bench itself rather than to a job; the database refuses to change it.
 *
 * @property int $id
 * @property int|null $user_id
 * @property string $kind
 * @property string|null $subject
 * @property array<string, mixed> $data
 * @property Carbon $created_at
 * @property-read User|null $user
 */
final class BenchEvent extends Record
{
    public const UPDATED_AT = null;

    protected $table = 'bench_events';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['data' => 'array', 'created_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @param  array<string, mixed>  $data */
    public static function note(string $kind, ?string $subject, array $data, ?int $user): self
    {
        return self::query()->create([
            'kind' => $kind,
            'subject' => $subject === null ? null : mb_substr($subject, 0, 200),
            'data' => $data,
            'user_id' => $user,
            'created_at' => now(),
        ]);
    }
}
