<?php

declare(strict_types=1);

namespace App\Devices\StandIn;

use App\Devices\Command;

/** Programs of the demo world that start, signed by one of its signers or by nobody. */
final class DemoLoader
{
    /**
     * The installer of a system: what it puts onto a blank drive starts by the same signer's loader.
     *
     * @param  string  $work  folder that holds the signers' keys, and takes what is made
     * @param  string  $signers  folder of their certificates
     * @return string its file
     */
    public static function installer(string $line, ?string $signer, string $work, string $signers): string
    {
        $installed = LoaderFile::make("{$line}, installed ".LoaderFile::WELCOME);
        $system = self::signed($installed, $signer, "{$work}/system.efi", $signers);
        $program = InstallerFile::make("{$line} ".LoaderFile::WELCOME, $system, $work);

        return self::signed($program, $signer, "{$work}/loader.efi", $signers);
    }

    private static function signed(string $program, ?string $signer, string $file, string $signers): string
    {
        file_put_contents($file, $program);
        if ($signer !== null) {
            $key = dirname($file)."/{$signer}.key";
            Command::run(
                ['sbsign', '--key', $key, '--cert', "{$signers}/{$signer}.pem", '--output', $file, $file],
                60,
            );
        }

        return $file;
    }

    /** A start image for optical media: a small FAT volume with the loader. */
    public static function startImage(string $path, string $loader): string
    {
        Command::run(['mkfs.vfat', '-C', $path, '1440'], 60);
        Command::run(['mmd', '-i', $path, '::/EFI', '::/EFI/BOOT'], 60);
        Command::run(['mcopy', '-i', $path, $loader, '::/EFI/BOOT/BOOTX64.EFI'], 60);

        return $path;
    }
}
