<?php

namespace App\Models;

use Cobblestone\Media\Build\StickCondition;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What a stick of the register is worth now.
 *
 * @property string $slug
 * @property StickCondition $condition
 * @property array<string, mixed>|null $content
 * @property Carbon $updated_at
 */
final class StickState extends Model
{
    protected $primaryKey = 'slug';

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['condition' => StickCondition::class, 'content' => 'array'];
    }

    public static function of(string $slug): self
    {
        return self::query()->firstOrNew(['slug' => $slug], ['condition' => StickCondition::Blank, 'content' => null]);
    }
}
