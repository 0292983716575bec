<?php

namespace App\Devices\StandIn;

use App\Devices\Command;

/** Images of the demo world: small, but real in every mark that an inspection reads, made by Debian's own tools. */
final class DemoImages
{
    private function __construct(
        private readonly string $shelf,
        private readonly string $signers,
        private readonly string $work,
    ) {
    }

    /**
     * @return array<string, array<string, string>> file name => what people know of it; published: same or another
     *     checksum
     */
    public static function make(string $shelf, string $signers): array
    {
        foreach ([$shelf, $signers] as $folder) {
            is_dir($folder) || mkdir($folder, 0775, true);
        }
        $files = DemoImageNotes::all();
        $missing = array_filter(array_keys($files), static fn (string $name): bool => ! is_file("{$shelf}/{$name}"));
        if (
            $missing !== []
                || ! self::isOfThis($shelf)
                || ! is_file("{$signers}/platform.pem")
                || sha1_file("{$signers}/platform.pem") !== sha1_file(database_path('demo/signers/platform.pem'))
        ) {
            $work = sys_get_temp_dir().'/cobble-demo-'.bin2hex(random_bytes(6));
            mkdir($work, 0700);
            try {
                // All of them anew: what lies there is of another day.
                array_map(static fn (string $name): bool => @unlink("{$shelf}/{$name}"), array_keys($files));
                (new self($shelf, $signers, $work))->all();
                file_put_contents("{$shelf}/.demo", self::mark());
            } finally {
                Command::run(['rm', '-rf', '--', $work]);
            }
        }

        return $files;
    }

    /** Whether what lies there was made with the installer that ships now. */
    private static function isOfThis(string $shelf): bool
    {
        return (string) @file_get_contents("{$shelf}/.demo") === self::mark();
    }

    private static function mark(): string
    {
        return (string) sha1_file(InstallerFile::program()).' 2';
    }

    private function all(): void
    {
        $this->signer('platform');
        $this->signer('third-party');
        file_put_contents(
            "{$this->signers}/revoked.txt",
            "# Loaders that may not start any more, one SHA-256 a line. As of 2026-11-01.\n",
        );
        $this->orrin('3.0', 20);
        $this->orrin('3.1', 24);
        copy("{$this->shelf}/orrin-counter-3.1.iso", $broken = "{$this->shelf}/orrin-counter-3.1-broken-off.iso");
        $handle = fopen($broken, 'r+b');
        if ($handle !== false) {
            ftruncate($handle, max(0, intdiv((int) filesize($broken) * 3, 5)));
            fclose($handle);
        }
        $this->tansy('Counter', 'TANSY 7 CO', 'tansy-counter-7.2-en.iso');
        $this->tansy('Dock', 'TANSY 7', 'tansy-dock-7.2-en.iso');
        $this->disk('skerry-counter-2026.11.img', 'Skerry Rolling installer', 'third-party', 12);
        $this->disk('corvane.img', 'Corvane Play 2 installer', null, 20);
        Command::run(['xz', '-T2', '-2', "{$this->shelf}/corvane.img"], 120);
        $this->disk(DemoPublisher::FILE, 'Orrin Desktop 3 installer', 'third-party', 6);
        DemoPublisher::give("{$this->shelf}/".DemoPublisher::FILE);
        rename("{$this->shelf}/corvane.img.xz", "{$this->shelf}/corvane-lounge-2.4-stable.img.xz");
        foreach (['nf13-114.cap', 'nf13-116.cap'] as $firmware) {
            file_put_contents("{$this->shelf}/{$firmware}", 'NF13 '.random_bytes(4_194_299));
        }
        file_put_contents("{$this->work}/restore-manifest.json", '{"models": ["halden-block"], "version": "28.1"}');
        file_put_contents("{$this->work}/system.part", random_bytes(3_000_000));
        Command::run(
            [
                '7zz', 'a', '-tzip', '-bd', "{$this->work}/desk.zip", "{$this->work}/restore-manifest.json",
                "{$this->work}/system.part",
            ],
            120,
        );
        rename("{$this->work}/desk.zip", "{$this->shelf}/halden-28.1-desk.restore");
    }

    /** Driver files of the demo world, for sticks that have to bring a machine online. */
    public static function drivers(string $folder): void
    {
        foreach (
            [
                'fairlead-13 network' => [
                    'w2/quarrel-w2.inf' => "[Version]\nProvider=Quarrel\n",
                    'w2/quarrel-w2.sys' => str_repeat('quarrel w2 ', 40_000),
                ],
                'capstan-t3 network' => [
                    'n1/quarrel-n1.inf' => "[Version]\nProvider=Quarrel\n",
                    'n1/quarrel-n1.sys' => str_repeat('quarrel n1 ', 25_000),
                ],
            ] as $set => $files
        ) {
            foreach ($files as $path => $bytes) {
                is_dir(dirname("{$folder}/{$set}/{$path}")) || mkdir(dirname("{$folder}/{$set}/{$path}"), 0775, true);
                file_put_contents("{$folder}/{$set}/{$path}", $bytes);
            }
        }
    }

    /**
     * The demo world's signers are fixed, so that the catalogue can name them by fingerprint; their keys are public
     * on purpose.
     */
    private function signer(string $name): void
    {
        copy(database_path("demo/signers/{$name}.key"), "{$this->work}/{$name}.key");
        copy(database_path("demo/signers/{$name}.pem"), "{$this->signers}/{$name}.pem");
    }

    private function loader(string $line, ?string $signer): string
    {
        return DemoLoader::installer($line, $signer, $this->work, $this->signers);
    }

    /** A hybrid optical image with start images for both kinds of firmware. */
    private function orrin(string $version, int $megabytes): void
    {
        $line = "Orrin Desktop {$version}";
        $large = ['live/filesystem.img' => $megabytes, 'live/kernel' => 2];
        $tree = $this->tree("orrin-{$version}", $this->loader($line, 'third-party'), $large, 160, $line);
        $start = DemoLoader::startImage("{$tree}/boot/efi.img", "{$this->work}/loader.efi");
        file_put_contents("{$tree}/boot/bios.img", str_pad(self::oldCode($line), 2048, "\0"));
        file_put_contents("{$this->work}/mbr.bin", str_pad(self::oldCode($line), 432, "\0"));
        Command::run([
            'xorriso', '-as', 'mkisofs', '-quiet', '-V', "ORRIN {$version}", '-J', '-R',
            '-b', 'boot/bios.img', '-no-emul-boot', '-boot-load-size', '4', '-isohybrid-mbr', "{$this->work}/mbr.bin",
            '-eltorito-alt-boot', '-e', 'boot/efi.img', '-no-emul-boot', '-append_partition', '2', '0xef', $start,
            '-o', "{$this->shelf}/orrin-counter-{$version}.iso", $tree,
        ], 120);
    }

    /** Code for machines that start the old way: says one line, as its loader does, and stays. */
    private static function oldCode(string $line): string
    {
        // cld, ds = 0, si = text; again: next byte, until zero, onto the screen; hlt
        $code = "\xFC\x31\xC0\x8E\xD8\xBE\x20\x7C\xAC\x84\xC0\x74\x06\xB4\x0E\xCD\x10\xEB\xF5\xF4\xEB\xFD";

        return str_pad($code, 32, "\x90")."{$line} ".LoaderFile::WELCOME."\r\n\0";
    }

    /** An optical image with UDF, which a stick has to be made from by copying its files. */
    private function tansy(string $edition, string $label, string $file): void
    {
        $tree = $this->tree(
            "tansy-{$edition}",
            $this->loader('Tansy Desktop 7 setup', 'platform'),
            ['payload/system.img' => 34],
            90,
            "Tansy Desktop 7, edition {$edition}",
        );
        Command::run(
            [
                'genisoimage', '-quiet', '-udf', '-iso-level', '3', '-J', '-V', $label, '-o',
                "{$this->shelf}/{$file}", $tree,
            ],
            120,
        );
    }

    /** A raw disk image: a table, a partition to start from, and one with the installer. */
    private function disk(string $name, string $line, ?string $signer, int $megabytes): void
    {
        $image = "{$this->shelf}/{$name}";
        Command::run([
            'truncate',
            '-s',
            (string) (36 * 1_048_576 + $megabytes * 1_000_000 - $megabytes * 1_000_000 % 512),
            $image,
        ]);
        Command::run(
            [
                'sgdisk', '-n', '1:2048:+32M', '-t', '1:ef00', '-c', '1:start', '-n', '2:0:0', '-t', '2:8300', '-c',
                '2:installer', $image,
            ],
            60,
        );
        Command::run(
            ['mkfs.vfat', '-F', '16', '-n', strtoupper(explode(' ', $line)[0]), '--offset', '2048', $image, '32768'],
            60,
        );
        Command::run(['mmd', '-i', "{$image}@@1048576", '::/EFI', '::/EFI/BOOT'], 60);
        Command::run(
            ['mcopy', '-i', "{$image}@@1048576", $this->loader($line, $signer), '::/EFI/BOOT/BOOTX64.EFI'],
            60,
        );
        $handle = fopen($image, 'r+b');
        if ($handle !== false) {
            fseek($handle, 34 * 1_048_576);
            for ($i = 0; $i < $megabytes - 1; $i++) {
                fwrite($handle, random_bytes(500_000).str_repeat("{$line} ", intdiv(500_000, strlen($line) + 1)));
            }
            fclose($handle);
        }
    }

    /**
     * @param  array<string, int>  $large  path => megabytes
     */
    private function tree(string $name, string $loader, array $large, int $small, string $words): string
    {
        $tree = "{$this->work}/{$name}";
        foreach (['EFI/BOOT', 'boot', 'packages', 'live', 'payload'] as $folder) {
            mkdir("{$tree}/{$folder}", 0755, true);
        }
        copy($loader, "{$tree}/EFI/BOOT/BOOTX64.EFI");
        file_put_contents("{$tree}/Read me first.txt", "{$words}\nMade for the ticket counters of the Quillport "
            ."Ferry Co-operative.\n");
        foreach ($large as $path => $megabytes) {
            $handle = fopen("{$tree}/{$path}", 'wb');
            for ($i = 0; $handle !== false && $i < $megabytes; $i++) {
                fwrite($handle, random_bytes(1_000_000));
            }
            $handle === false || fclose($handle);
        }
        for ($i = 1; $i <= $small; $i++) {
            file_put_contents(sprintf('%s/packages/counter package %03d.pkg', $tree, $i), random_bytes(2000 + 37 * $i));
        }

        return $tree;
    }
}
