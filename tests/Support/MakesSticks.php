<?php

namespace Tests\Support;

use App\Devices\StandIn\LoaderFile;

/** Pieces of stick images, made by Debian's own tools; whoever uses it has a folder. */
trait MakesSticks
{
    private function loader(bool $sbat = false): string
    {
        return LoaderFile::make(
            Emulator::MARK.' 1',
            sections: $sbat
                ? [
                    '.sbat' => "sbat,1,SBAT Version,sbat,1,https://example.invalid/sbat\n"
                        ."cobble,1,Quillport,cobble,1,https://example.invalid/\n",
                ]
                : [],
        );
    }

    public function signed(string $loader, string $by = 'snakeoil'): string
    {
        $file = "{$this->folder}/sign-".bin2hex(random_bytes(4)).'.efi';
        file_put_contents($file, $loader);
        if ($by === 'snakeoil') {
            [$key, $from] = ["{$this->folder}/snakeoil.key", '/usr/share/ovmf/PkKek-1-snakeoil'];
            is_file($key)
                || self::run('openssl', 'rsa', '-in', "{$from}.key", '-passin', 'pass:snakeoil', '-out', $key);
            $certificate = "{$from}.pem";
        } else {
            [$key, $certificate] = [
                base_path('database/demo/signers/platform.key'),
                base_path('database/demo/signers/platform.pem'),
            ];
        }
        self::run('sbsign', '--key', $key, '--cert', $certificate, '--output', $file, $file);
        $signed = (string) file_get_contents($file);
        unlink($file);

        return $signed;
    }

    private function firstStage(): string
    {
        return $this->signed((string) file_get_contents('/usr/lib/shim/shimx64.efi'));
    }

    private function altered(string $signed): string
    {
        $at = (int) strpos($signed, mb_convert_encoding(Emulator::MARK.' 1', 'UTF-16LE'));
        $signed[$at + 2 * strlen(Emulator::MARK) + 2] = '2';

        return $signed;
    }

    private function blank(string $image, int $mebibytes): string
    {
        self::run('truncate', '-s', "{$mebibytes}M", $image);

        return $image;
    }

    /** @param  array<string, string>  $files */
    private function fat(string $image, int $at, int $mebibytes, array $files): string
    {
        self::run(
            'mkfs.vfat',
            '-F',
            '32',
            '-s',
            '1',
            '--offset',
            (string) intdiv($at, 512),
            $image,
            (string) ($mebibytes * 1024),
        );
        self::run('mmd', '-i', "{$image}@@{$at}", '::/EFI', '::/EFI/BOOT');
        foreach ($files as $name => $bytes) {
            file_put_contents($file = "{$this->folder}/part-".bin2hex(random_bytes(4)), $bytes);
            self::run('mcopy', '-i', "{$image}@@{$at}", $file, "::/EFI/BOOT/{$name}");
            unlink($file);
        }

        return $image;
    }

    /** @param  list<int>  $at */
    private function damaged(string $image, array $at): string
    {
        foreach ($at as $place) {
            $this->written($image, $place, "\xDE\xAD\xBE\xEF");
        }

        return $image;
    }

    private function written(string $image, int $at, string $bytes): string
    {
        $handle = fopen($image, 'r+b');
        fseek($handle, $at);
        fwrite($handle, $bytes);
        fclose($handle);

        return $image;
    }

    private function cut(string $image, int $mebibytes): string
    {
        self::run('truncate', '-s', "{$mebibytes}M", $image);

        return $image;
    }

    private static function run(string ...$command): void
    {
        Workshop::says(...$command);
    }
}
