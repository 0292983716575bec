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
    /** An upload that broke off can be gone on with for so long. */
    public const HOURS = 48;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public function path(): string
    {
        return self::folder()."/{$this->id}.part";
    }

    /** What nobody went on with for two days; its bytes and its row. */
    public static function forgetOld(): void
    {
        foreach (self::query()->where('updated_at', '<', now()->subHours(self::HOURS))->get() as $upload) {
            @unlink($upload->path());
            $upload->delete();
        }
    }

    /** Where pieces wait until a file is whole; the shelf does not look in there. */
    public static function folder(): string
    {
        $folder = config('cobblestone.shelf').'/.arriving';
        is_dir($folder) || @mkdir($folder, 0775, true);

        return $folder;
    }
}
