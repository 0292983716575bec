<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Something that happened to a stick; the database refuses to change it.
 *
 * @property int $id
 * @property string $slug
 * @property string $kind
 * @property array<string, mixed> $data
 * @property Carbon $created_at
 * @property-read User|null $user
 */
final class StickEvent extends Record
{
    public const UPDATED_AT = null;

    /** It turned out to be the cause of a problem at a stone. */
    public const BLAMED = 'blamed';

    protected $table = 'stick_events';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['data' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** What a form about a stick was made from: anything that happened to it since gives another. */
    public static function version(string $slug): string
    {
        return 'event '.(int) self::query()->where('slug', $slug)->max('id');
    }

    /** @param  array<string, mixed>  $data */
    public static function note(string $slug, string $kind, array $data, ?int $user): void
    {
        self::query()->create(['slug' => $slug, 'kind' => $kind, 'data' => $data, 'user_id' => $user]);
    }

    /**
     * Failures on a stick since it last was good, by kind (rule M11).
     *
     * @return array<string, int>
     */
    public static function failuresOf(string $slug): array
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, self> $events */
        $events = self::query()->where('slug', $slug)->latest('id')->limit(50)->get();

        return self::failures($events);
    }

    /**
     * @param  iterable<self>  $newestFirst  what happened to one stick
     * @return array<string, int>
     */
    public static function failures(iterable $newestFirst): array
    {
        $failures = [];
        foreach ($newestFirst as $event) {
            if (in_array($event->kind, ['built', 'proven', 'taken-back'], true)) {
                break;
            }
            if ($event->kind === 'failed' || $event->kind === self::BLAMED) {
                foreach ($event->data['kinds'] ?? [] as $kind) {
                    $failures[$kind] = ($failures[$kind] ?? 0) + 1;
                }
            } elseif ($event->kind === 'booted-badly') {
                $failures['start'] = ($failures['start'] ?? 0) + 1;
            }
        }

        return $failures;
    }
}
