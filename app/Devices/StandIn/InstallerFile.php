<?php

declare(strict_types=1);

namespace App\Devices\StandIn;

use App\Devices\Command;

/**
 * The installer of the demo world: a UEFI program that partitions the first blank drive that is built in, copies a
 * system's loader onto it and restarts (source: database/demo/installer/installer.c).
 */
final class InstallerFile
{
    private const SECTOR = 512;

    /** Sectors of the EFI system partition, 260 MiB, and where it begins. */
    private const EFI_SECTORS = 532_480;

    private const FIRST = 2048;

    private const WORDS = 160;

    /**
     * @param  string  $line  what it prints first
     * @param  string  $system  file of the loader that it installs
     * @param  string  $work  folder for what is made on the way
     */
    public static function make(string $line, string $system, string $work): string
    {
        $volume = "{$work}/installed.img";
        Command::run(['rm', '-f', '--', $volume]);
        Command::run(['truncate', '-s', (string) (self::EFI_SECTORS * self::SECTOR), $volume]);
        Command::run(['mkfs.vfat', '-F', '32', '-s', '1', '-h', (string) self::FIRST, '-n', 'SYSTEM', $volume], 60);
        Command::run(['mmd', '-i', $volume, '::/EFI', '::/EFI/BOOT'], 60);
        Command::run(['mcopy', '-i', $volume, $system, '::/EFI/BOOT/BOOTX64.EFI'], 60);
        [$count, $runs] = self::written($volume);
        $code = (string) hex2bin((string) preg_replace('/\s+/', '', (string) file_get_contents(self::program())));
        $payload = pack('V4', self::FIRST, self::FIRST + self::EFI_SECTORS - 1, $count, 0)
            .random_bytes(48)
            .self::words("\r\n{$line}\r\n")
            .self::words("It has partitioned the drive and copied itself. It restarts.\r\n");

        // The code keeps the table that it writes beside itself, so its section may be written too.
        return LoaderFile::program($code.$payload.$runs, access: 0xE000_0020);
    }

    /** The program as it was built, in hexadecimal; what it writes is put behind it. */
    public static function program(): string
    {
        return database_path('demo/installer/installer.hex');
    }

    /** @return array{int, string} how many runs of sectors are not empty, and those runs */
    private static function written(string $volume): array
    {
        $handle = fopen($volume, 'rb') ?: throw new \RuntimeException('The file system cannot be read.');
        [$count, $runs, $empty] = [0, '', str_repeat("\0", self::SECTOR)];
        $held = '';
        for ($sector = 0; $sector <= self::EFI_SECTORS; $sector++) {
            $bytes = $sector < self::EFI_SECTORS ? (string) fread($handle, self::SECTOR) : $empty;
            if ($bytes !== $empty) {
                $held .= $bytes;
            } elseif ($held !== '') {
                $sectors = intdiv(strlen($held), self::SECTOR);
                $runs .= pack('VV', $sector - $sectors, $sectors).$held;
                [$held, $count] = ['', $count + 1];
            }
        }
        fclose($handle);

        return [$count, $runs];
    }

    private static function words(string $text): string
    {
        return str_pad(substr(mb_convert_encoding($text, 'UTF-16LE', 'UTF-8'), 0, self::WORDS - 2), self::WORDS, "\0");
    }
}
