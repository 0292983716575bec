<?php

declare(strict_types=1);

namespace App\Devices;

use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use RuntimeException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Where photos lie: drawn anew before they are kept, under names that say nothing (rule L2). */
final class PhotoFolder
{
    public const KILOBYTES = 12_288;

    /** What a form says of a photo that did not come through. */
    public const MESSAGES = [
        'photo.max' => 'The photo has more than 12 MB. Take it smaller.',
        'photo.uploaded' => 'The photo did not arrive whole. Try it once more.',
    ];

    /** Kinds of picture a photo may be, by what is in the file. */
    private const KINDS = [IMAGETYPE_JPEG => 'jpg', IMAGETYPE_PNG => 'png', IMAGETYPE_WEBP => 'webp'];

    /** @throws ValidationException where the file is no picture */
    public static function mustBePicture(UploadedFile $file): void
    {
        $size = @getimagesize($file->getPathname());
        if ($size === false || ! isset(self::KINDS[$size[2]])) {
            throw self::refused('This file is no picture that is known here: JPEG, PNG or WebP.');
        }
    }

    /**
     * @param  string  $without  what can be done all the same
     * @return string name of the file in the folder
     *
     * @throws ValidationException where it cannot be drawn or kept
     */
    public static function keep(UploadedFile $photo, string $without, ?BlackAreas $black = null): string
    {
        $size = getimagesize($photo->getPathname());
        $name = bin2hex(random_bytes(16)).'.'.self::KINDS[$size === false ? IMAGETYPE_JPEG : $size[2]];
        $folder = (string) config('cobblestone.photos');
        is_dir($folder) || @mkdir($folder, 0750, true);
        if (! is_writable($folder)) {
            throw self::refused(
                'The photo cannot be kept: the bench computer\'s folder for photos is full or may not be written. '
                    ."Tell the lead. {$without}",
            );
        }
        try {
            Picture::redraw($photo->getPathname(), "{$folder}/{$name}", $black);
            chmod("{$folder}/{$name}", 0640);
            // On the disk before the record that names it.
            Command::run(['sync', "{$folder}/{$name}", $folder], 60);
        } catch (RuntimeException $e) {
            @unlink("{$folder}/{$name}");
            throw self::refused("The photo was not kept: {$e->getMessage()}. {$without}");
        }

        return $name;
    }

    /** The photo itself, which may bring nothing along. */
    public static function show(?string $name): BinaryFileResponse
    {
        $path = config('cobblestone.photos')."/{$name}";
        abort_unless($name !== null && is_file($path), 404, 'There is no such photo.');

        return response()->file($path, [
            'Content-Disposition' => 'inline',
            'Content-Security-Policy' => "default-src 'none'; sandbox",
        ]);
    }

    private static function refused(string $why): ValidationException
    {
        return ValidationException::withMessages(['photo' => $why]);
    }
}
