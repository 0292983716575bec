<?php

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * A way into setup, menu or recovery that somebody tried on a model (rule F1).
 *
 * @property int $id
 * @property string $model
 * @property string $reaches setup, menu or recovery
 * @property string $way
 * @property bool $worked
 * @property Carbon $created_at
 */
final class WayTrial extends Record
{
    public const UPDATED_AT = null;

    protected $table = 'way_trials';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['worked' => 'boolean', 'created_at' => 'datetime'];
    }
}
