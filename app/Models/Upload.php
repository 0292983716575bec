<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A file on its way to the shelf.
 *
 * @property string $id
 * @property string $name
 * @property int $bytes
 * @property int $received
 * @property int $user_id
 */
final class Upload extends Model
{
    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public function path(): string
    {
        return self::folder()."/{$this->id}.part";
    }

    /** Where pieces wait until a file is whole; the shelf does not look in there. */
    public static function folder(): string
    {
        $folder = config('cobblestone.shelf').'/.arriving';
        is_dir($folder) || @mkdir($folder, 0775, true);

        return $folder;
    }
}
