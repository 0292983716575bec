<?php

namespace App\Models;

use Illuminate\Support\Facades\DB;

/**
 * A file on its way to the shelf.
 *
 * @property string $id
 * @property string $name
 * @property int $bytes
 * @property int $received
 * @property int $user_id
 * @property string|null $mark
 */
final class Upload extends Record
{
    /** An upload that broke off can be gone on with for so long. */
    public const HOURS = 48;

    private const SAMPLE = 1_048_576;

    public $incrementing = false;

    protected $table = 'uploads';

    protected $keyType = 'string';

    protected $guarded = [];

    public function path(): string
    {
        return self::folder()."/{$this->id}.part";
    }

    /**
     * CRC-32 of the first, the middle and the last mebibyte, in hexadecimal, as resources/js/upload.js works it out.
     * It tells files apart that are not meant to deceive; what an image is worth its SHA-256 says.
     */
    public static function markOf(string $path): string
    {
        clearstatcache(true, $path);
        $bytes = (int) filesize($path);
        $length = min(self::SAMPLE, $bytes);
        $sample = static fn (int $at): string => hash(
            'crc32b',
            (string) file_get_contents($path, false, null, $at, $length),
        );

        return $sample(0).$sample(intdiv($bytes - $length, 2)).$sample($bytes - $length);
    }

    /** Bytes that uploads under way were promised and have not sent yet. */
    public static function promised(): int
    {
        return (int) self::query()->sum(DB::raw('bytes - received'));
    }

    /** Bytes that another upload may have: what is free, less what is promised and what must stay free. */
    public static function room(): int
    {
        return (int) disk_free_space(self::folder()) - self::promised() - (int) config('cobblestone.keep_free');
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
