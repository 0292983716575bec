<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;

/** What an address or form asks for, as the one text or file it can be. */
final class Asked
{
    /** The text behind a name in the address; empty where there is none, or a list where a text belongs. */
    public static function text(Request $request, string $name): string
    {
        $value = $request->query($name);

        return is_string($value) ? $value : '';
    }

    public static function file(Request $request, string $name): ?UploadedFile
    {
        $file = $request->file($name);

        return $file instanceof UploadedFile ? $file : null;
    }
}
