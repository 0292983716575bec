<?php

namespace Tests\Support;

use ZipArchive;

/** Bundles for tests, good and hostile, made byte by byte where no tool would make them. */
final class Bundles
{
    /** @param  array<string, string>  $files name => text */
    public static function tar(array $files, string $type = '0', string $link = ''): string
    {
        $tar = '';
        foreach ($files as $name => $text) {
            $tar .=
                self::header($name, strlen($text), $type, $link).
                $text.
                str_repeat("\0", (512 - (strlen($text) % 512)) % 512);
        }

        return $tar.str_repeat("\0", 1024);
    }

    public static function header(string $name, int $size, string $type = '0', string $link = ''): string
    {
        $header =
            str_pad(substr($name, 0, 100), 100, "\0").
            "0000644\0".
            "0000000\0".
            "0000000\0".
            sprintf('%011o', $size).
            "\0".
            '00000000000'.
            "\0".
            '        '.
            $type.
            str_pad($link, 100, "\0").
            "ustar\00000";
        $header = str_pad($header, 512, "\0");
        $sum = array_sum(array_map(ord(...), str_split($header)));

        return substr_replace($header, sprintf('%06o', $sum)."\0 ", 148, 8);
    }

    /** @param  array<string, string>  $files */
    public static function tarGz(array $files): string
    {
        return self::write('tar.gz', (string) gzencode(self::tar($files), 1));
    }

    /** @param  array<string, string>  $files */
    public static function zip(array $files, ?string $link = null): string
    {
        $path = self::write('zip', '');
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::OVERWRITE);
        foreach ($files as $name => $text) {
            $zip->addFromString($name, $text);
        }
        if ($link !== null) {
            $zip->addFromString($link, '/etc/passwd');
            $zip->setExternalAttributesName($link, ZipArchive::OPSYS_UNIX, 0xA1FF << 16);
        }
        $zip->close();

        return $path;
    }

    public static function write(string $extension, string $bytes): string
    {
        $path = sys_get_temp_dir().'/bundle-'.bin2hex(random_bytes(5)).".{$extension}";
        file_put_contents($path, $bytes);

        return $path;
    }

    public static function fixture(string $name): string
    {
        return (string) file_get_contents(Demo::root()."/tests/fixtures/inventory/{$name}");
    }
}
