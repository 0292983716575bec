<?php

namespace Tests\Support;

use App\Devices\StandIn\LoaderFile;

/**
 * Stick images of every kind that firmware tells apart, made by Debian's own tools, for the matrix under emulated
 * firmware.
 */
final class Sticks
{
    use MakesSticks;

    private const MEBIBYTE = 1_048_576;

    public function __construct(private readonly string $folder)
    {
    }

    /** @return array<string, string> name => what it is */
    public static function kinds(): array
    {
        return [
            'gpt-fat32' => 'GPT, FAT32, loader at the default path, unsigned',
            'mbr-fat32' => 'MBR, FAT32, loader at the default path, unsigned',
            'mbr-data-type' => 'MBR whose only entry has a type that says nothing of FAT',
            'no-table-fat32' => 'FAT32 from sector 0, no table',
            'gpt-no-default-path' => 'GPT, FAT32, loader in another folder',
            'gpt-not-fat' => 'GPT, the only file system is ext4',
            'gpt-empty-loader' => 'GPT, FAT32, the loader is no program',
            'gpt-signed' => 'GPT, FAT32, loader signed by an enrolled key',
            'gpt-other-signer' => 'GPT, FAT32, loader signed by a key that is not enrolled',
            'gpt-altered' => 'GPT, FAT32, loader changed after it was signed',
            'gpt-arm-only' => 'GPT, FAT32, only a loader for arm-64',
            'gpt-arm-inside' => 'GPT, FAT32, the default path holds a loader for arm-64',
            'gpt-primary-damaged' => 'GPT whose header at the start is damaged',
            'gpt-both-damaged' => 'GPT whose two headers are damaged',
            'gpt-active-protective' => 'GPT whose protective entry is marked active',
            'gpt-not-announced' => 'GPT whose MBR announces none',
            'gpt-cut-behind-loader' => 'GPT, cut off behind the loader\'s file',
            'gpt-cut-before-loader' => 'GPT, cut off before the loader\'s file',
            'mbr-cut-behind-loader' => 'MBR, cut off behind the loader\'s file',
            'hybrid-raw' => 'hybrid optical image written raw, starts both ways',
            'optical-raw' => 'optical image without a table written raw',
            'bios-only' => 'MBR, active partition, loader for the old way only',
            'bios-no-active' => 'MBR with chain-loading code, no active partition',
            'bios-empty-active' => 'MBR with chain-loading code, active partition without a loader',
            'bios-own-screen' => 'a boot sector of its own that writes on the screen and stays',
            'bios-own-serial' => 'a boot sector of its own that writes to the serial port and stays',
            'first-stage-alone' => 'GPT, signed first loader, the next is missing',
            'first-stage-unsigned' => 'GPT, signed first loader, the next is unsigned',
            'first-stage-signed' => 'GPT, signed first loader, the next is signed by an enrolled key',
            'random' => 'random bytes',
            'zeros' => 'zeros',
        ];
    }

    public function make(string $kind): string
    {
        $image = "{$this->folder}/{$kind}.img";
        if (is_file($image)) {
            return $image;
        }
        match ($kind) {
            'gpt-fat32' => $this->gpt($image, ['BOOTX64.EFI' => $this->loader()]),
            'mbr-fat32' => $this->mbr($image, '0c', $this->loader()),
            'mbr-data-type' => $this->mbr($image, '83', $this->loader()),
            'no-table-fat32' => $this->fat($this->blank($image, 64), 0, 64, ['BOOTX64.EFI' => $this->loader()]),
            'gpt-no-default-path' => $this->gpt($image, ['OTHER.EFI' => $this->loader()]),
            'gpt-not-fat' => $this->notFat($image),
            'gpt-empty-loader' => $this->gpt($image, ['BOOTX64.EFI' => str_repeat('no program ', 500)]),
            'gpt-signed' => $this->gpt($image, ['BOOTX64.EFI' => $this->signed($this->loader())]),
            'gpt-other-signer' => $this->gpt($image, ['BOOTX64.EFI' => $this->signed($this->loader(), 'other')]),
            'gpt-altered' => $this->gpt($image, ['BOOTX64.EFI' => $this->altered($this->signed($this->loader()))]),
            'gpt-arm-only' => $this->gpt($image, ['BOOTAA64.EFI' => LoaderFile::make('x', 0xAA64)]),
            'gpt-arm-inside' => $this->gpt($image, ['BOOTX64.EFI' => LoaderFile::make('x', 0xAA64)]),
            'gpt-primary-damaged' => $this->damaged($this->gpt($image, ['BOOTX64.EFI' => $this->loader()]), [512 + 40]),
            'gpt-both-damaged' => $this->damaged(
                $this->gpt($image, ['BOOTX64.EFI' => $this->loader()]),
                [512 + 40, 64 * self::MEBIBYTE - 512 + 40],
            ),
            'gpt-active-protective' => $this->written(
                $this->gpt($image, ['BOOTX64.EFI' => $this->loader()]),
                446,
                "\x80",
            ),
            'gpt-not-announced' => $this->written($this->gpt($image, ['BOOTX64.EFI' => $this->loader()]), 450, "\x0C"),
            'gpt-cut-behind-loader' => $this->cut($this->gpt($image, ['BOOTX64.EFI' => $this->loader()]), 40),
            'gpt-cut-before-loader' => $this->cut(
                $this->gpt($image, [
                    'FILLER.BIN' => random_bytes(20 * self::MEBIBYTE),
                    'BOOTX64.EFI' => $this->loader(),
                ]),
                12,
            ),
            'mbr-cut-behind-loader' => $this->cut($this->mbr($image, '0c', $this->loader()), 40),
            'hybrid-raw' => $this->optical($image, true),
            'optical-raw' => $this->optical($image, false),
            'bios-only' => $this->bios($image, true, true),
            'bios-no-active' => $this->bios($image, false, true),
            'bios-empty-active' => $this->bios($image, true, false),
            'bios-own-screen' => $this->sector($image, "\xB4\x0E\xCD\x10", ''),
            'bios-own-serial' => $this->sector($image, "\xEE", "\xBA\xF8\x03"),
            'first-stage-alone' => $this->gpt($image, ['BOOTX64.EFI' => $this->firstStage()]),
            'first-stage-unsigned' => $this->gpt($image, [
                'BOOTX64.EFI' => $this->firstStage(),
                'grubx64.efi' => $this->loader(),
            ]),
            'first-stage-signed' => $this->gpt($image, [
                'BOOTX64.EFI' => $this->firstStage(),
                'grubx64.efi' => $this->signed($this->loader(sbat: true)),
            ]),
            'random' => file_put_contents($image, random_bytes(self::MEBIBYTE)),
            'zeros' => $this->blank($image, 4),
            default => throw new \InvalidArgumentException($kind),
        };

        return $image;
    }

    /** @param  array<string, string>  $files  of EFI/BOOT */
    private function gpt(string $image, array $files): string
    {
        self::run('sgdisk', '-n', '1:2048:+60M', '-t', '1:ef00', '-c', '1:start', $this->blank($image, 64));

        return $this->fat($image, self::MEBIBYTE, 60, $files);
    }

    private function mbr(string $image, string $type, string $loader): string
    {
        self::run(
            'sh',
            '-c',
            'printf "label: dos\n2048,,%s\n" "$1" | sfdisk -q "$2"',
            'sh',
            $type,
            $this->blank($image, 64),
        );

        return $this->fat($image, self::MEBIBYTE, 63, ['BOOTX64.EFI' => $loader]);
    }

    private function notFat(string $image): string
    {
        $tree = "{$this->folder}/tree-".bin2hex(random_bytes(4));
        mkdir("{$tree}/EFI/BOOT", recursive: true);
        file_put_contents("{$tree}/EFI/BOOT/BOOTX64.EFI", $this->loader());
        self::run('sgdisk', '-n', '1:2048:+60M', '-t', '1:ef00', $this->blank($image, 64));
        self::run('mkfs.ext4', '-q', '-F', '-d', $tree, '-E', 'offset='.self::MEBIBYTE, $image, '60M');

        return $image;
    }

    private function optical(string $image, bool $hybrid): string
    {
        $tree = "{$this->folder}/optical-".bin2hex(random_bytes(4));
        mkdir("{$tree}/boot/isolinux", recursive: true);
        copy('/usr/lib/ISOLINUX/isolinux.bin', "{$tree}/boot/isolinux/isolinux.bin");
        copy('/usr/lib/syslinux/modules/bios/ldlinux.c32', "{$tree}/boot/isolinux/ldlinux.c32");
        file_put_contents("{$tree}/boot/isolinux/isolinux.cfg", 'SAY '.Emulator::MARK."\nPROMPT 1\n");
        self::run('truncate', '-s', '2880K', "{$tree}/boot/efi.img");
        self::run('mkfs.vfat', "{$tree}/boot/efi.img");
        self::run('mmd', '-i', "{$tree}/boot/efi.img", '::/EFI', '::/EFI/BOOT');
        file_put_contents($file = "{$this->folder}/optical.efi", $this->loader());
        self::run('mcopy', '-i', "{$tree}/boot/efi.img", $file, '::/EFI/BOOT/BOOTX64.EFI');
        self::run(
            'xorriso',
            '-as',
            'mkisofs',
            '-quiet',
            '-V',
            'OPTICAL',
            '-b',
            'boot/isolinux/isolinux.bin',
            '-c',
            'boot/boot.cat',
            '-no-emul-boot',
            '-boot-load-size',
            '4',
            '-boot-info-table',
            ...[
                ...($hybrid ? ['-isohybrid-mbr', '/usr/lib/ISOLINUX/isohdpfx.bin'] : []),
                '-eltorito-alt-boot',
                '-e',
                'boot/efi.img',
                '-no-emul-boot',
                ...($hybrid ? ['-isohybrid-gpt-basdat'] : []),
                '-o',
                $image,
                $tree,
            ]);

        return $image;
    }

    private function bios(string $image, bool $active, bool $loader): string
    {
        self::run(
            'sh',
            '-c',
            'printf "label: dos\n2048,,0c%s\n" "$1" | sfdisk -q "$2"',
            'sh',
            $active ? ',*' : '',
            $this->blank($image, 64),
        );
        self::run('mkfs.vfat', '-F', '32', '-s', '1', '--offset', '2048', $image, (string) (63 * 1024));
        $this->written($image, 0, (string) file_get_contents('/usr/lib/syslinux/mbr/mbr.bin'));
        if ($loader) {
            self::run('syslinux', '-t', (string) self::MEBIBYTE, '-i', $image);
            file_put_contents($file = "{$this->folder}/syslinux.cfg", 'SAY '.Emulator::MARK."\nPROMPT 1\n");
            self::run('mcopy', '-i', "{$image}@@".self::MEBIBYTE, $file, '::/syslinux.cfg');
        }

        return $image;
    }

    /** cld · ds = 0 · si = text · again: al = next byte, out it goes until zero · hlt */
    private function sector(string $image, string $out, string $before): string
    {
        $loop = "\xAC\x84\xC0\x74".chr(strlen($out) + 2).$out."\xEB".chr(0x100 - 7 - strlen($out));
        $code = str_pad("\xFC\x31\xC0\x8E\xD8\xBE\x20\x7C".$before.$loop."\xF4\xEB\xFD", 0x20, "\x90").Emulator::MARK
            ."\r\n\0";
        file_put_contents($image, str_pad(str_pad($code, 510, "\0")."\x55\xAA", self::MEBIBYTE, "\0"));

        return $image;
    }
}
