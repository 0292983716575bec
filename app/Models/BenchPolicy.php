<?php

namespace App\Models;

use Cobblestone\Policy\Policy;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One change of the bench's schools; the latest row holds.
 *
 * @property array<string, string> $schools
 * @property Carbon $created_at
 * @property-read User|null $user
 */
final class BenchPolicy extends Record
{
    public const UPDATED_AT = null;

    protected $table = 'policies';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['schools' => 'array'];
    }

    /** "Which stick: smallest · Boot: one-time menu" */
    public function words(): string
    {
        return implode(' · ', array_map(
            static fn (string $school, string $option): string => Policy::title($school).": {$option}",
            array_keys($this->schools),
            $this->schools,
        ));
    }

    public static function present(): Policy
    {
        return Policy::of(self::query()->latest('id')->first()->schools ?? []);
    }

    /** What a form was made from. */
    public static function version(): string
    {
        return 'change '.(int) self::query()->max('id');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
