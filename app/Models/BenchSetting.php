<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Query\Builder;

/**
 * What this database is, by name.
 *
 * @property string $name
 * @property string $value
 */
final class BenchSetting extends Record
{
    /** "demo" or "shop". */
    public const WORLD = 'world';

    /** The name on receipts, handover sheets and certificates; empty or not there: none. */
    public const SHOP = 'shop';

    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'settings';

    protected $primaryKey = 'name';

    protected $keyType = 'string';

    protected $guarded = [];

    public static function read(string $name): ?string
    {
        return self::query()->whereKey($name)->first()?->value;
    }

    /** The same as part of another query. */
    public static function named(string $name): Builder
    {
        return self::query()->toBase()->select('value')->where('name', $name);
    }

    public static function put(string $name, string $value): void
    {
        self::query()->updateOrCreate(['name' => $name], ['value' => $value]);
    }
}
