<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * A backup that was written and read back.
 *
 * @property string $kind
 * @property string $place
 * @property int $bytes
 * @property list<string> $parts
 * @property Carbon $created_at
 */
final class SafeKeeping extends Record
{
    public const UPDATED_AT = null;

    protected $table = 'safe_keepings';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['parts' => 'array', 'created_at' => 'datetime'];
    }

    public static function last(): ?self
    {
        return self::query()->latest('id')->first();
    }
}
