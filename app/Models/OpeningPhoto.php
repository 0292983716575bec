<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;

/**
 * A photo of the inside of a model, shown where a machine of it is opened (rule H1).
 *
 * @property int $id
 * @property string $model identifier of the catalogue
 * @property string $photo name of the file under var/photos
 * @property string $words what is seen on it
 * @property Carbon $created_at
 */
final class OpeningPhoto extends Record
{
    public const UPDATED_AT = null;

    /** More are not looked through with a screwdriver in the hand. */
    public const MOST = 6;

    protected $table = 'opening_photos';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['created_at' => 'datetime'];
    }

    /** @return Collection<int, self> in the order in which they were taken in */
    public static function of(?string $model): Collection
    {
        if ($model === null) {
            return new Collection;
        }
        $photos = self::query()->where('model', $model);
        $photos->getQuery()->orderBy('id')->limit(self::MOST);

        return $photos->get();
    }
}
