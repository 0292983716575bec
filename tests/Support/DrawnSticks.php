<?php

namespace Tests\Support;

use App\Devices\StandIn\LoaderFile;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Stick images drawn by a seed: table, file system, loader, signature, damage and code in sector 0 are crossed, so that
 * the boot model is asked what nobody wrote a case for. The same seed gives the same stick.
 */
final class DrawnSticks
{
    use MakesSticks;

    private const MEBIBYTE = 1_048_576;

    private const SIZE = 48;

    public const TABLES = ['gpt', 'gpt', 'mbr-0c', 'mbr-0c', 'mbr-07', 'mbr-ef', 'mbr-second', 'none'];

    public const FILE_SYSTEMS = [
        'fat32', 'fat32', 'fat32', 'fat16', 'fat12', 'fat-no-mark', 'fat-no-jump', 'fat-odd-count', 'exfat', 'ext4',
    ];

    public const LOADERS = [
        'plain', 'plain', 'signed', 'signed', 'other-signer', 'altered', 'cut-short', 'header-only', 'text', 'arm',
        'other-folder', 'two-folders', 'first-alone', 'first-unsigned', 'first-signed', 'none',
    ];

    public const DAMAGES = [
        'none', 'none', 'none', 'header', 'both-headers', 'backup-header', 'active-protective', 'not-announced',
        'cut-behind', 'no-55aa', 'first-fat',
    ];

    public const CODES = [
        'zeros', 'zeros', 'walks', 'walks-active', 'walks-to-loader', 'prints', 'returns', 'loops', 'noise', 'halts',
    ];

    public function __construct(private readonly string $folder)
    {
    }

    /** @return array{table: string, file_system: string, loader: string, damage: string, code: string} */
    public static function drawn(int $seed): array
    {
        $chance = new Randomizer(new Mt19937($seed));
        $one = static fn (array $of): string => $of[$chance->getInt(0, count($of) - 1)];

        return [
            'table' => $one(self::TABLES), 'file_system' => $one(self::FILE_SYSTEMS), 'loader' => $one(self::LOADERS),
            'damage' => $one(self::DAMAGES), 'code' => $one(self::CODES),
        ];
    }

    public static function words(int $seed): string
    {
        return "seed {$seed}: ".implode(', ', self::drawn($seed));
    }

    public function make(int $seed): string
    {
        $drawn = self::drawn($seed);
        $image = $this->blank("{$this->folder}/drawn-{$seed}.img", self::SIZE);
        $at = $drawn['table'] === 'none' ? 0 : self::MEBIBYTE;
        $this->table($image, $drawn['table']);
        $this->fileSystem($image, $at, $drawn['file_system'], $this->files($drawn['loader']));
        $this->code($image, $at, $drawn);
        $this->damage($image, $at, $drawn['damage']);

        return $image;
    }

    private function table(string $image, string $table): void
    {
        $lines = match ($table) {
            'mbr-0c' => '2048,,0c', 'mbr-07' => '2048,,07', 'mbr-ef' => '2048,,ef',
            'mbr-second' => "96256,2048,83\n2048,90112,0c",
            default => '',
        };
        if ($table === 'gpt') {
            self::run('sgdisk', '-n', '1:2048:+'.(self::SIZE - 3).'M', '-t', '1:ef00', $image);
        } elseif ($lines !== '') {
            self::run('sh', '-c', 'printf "label: dos\n%s\n" "$1" | sfdisk -q "$2"', 'sh', $lines, $image);
        }
    }

    /** @return array<string, string> path below /EFI => bytes */
    private function files(string $loader): array
    {
        $plain = $this->loader();
        $default = 'BOOT/BOOTX64.EFI';
        $cut = substr($this->signed($plain), 0, 1400);

        return match ($loader) {
            'plain' => [$default => $plain],
            'signed' => [$default => $this->signed($plain)],
            'other-signer' => [$default => $this->signed($plain, 'other')],
            'altered' => [$default => $this->altered($this->signed($plain))],
            'cut-short' => [$default => $cut],
            'header-only' => [$default => substr($plain, 0, 512)],
            'text' => [$default => str_repeat('no program ', 300)],
            'arm' => [$default => LoaderFile::make('x', 0xAA64)],
            'other-folder' => ['VENDOR/LOADX64.EFI' => $plain],
            'two-folders' => ['VENDOR/LOADX64.EFI' => $plain, $default => $this->signed($plain)],
            'first-alone' => [$default => $this->firstStage()],
            'first-unsigned' => [$default => $this->firstStage(), 'BOOT/grubx64.efi' => $plain],
            'first-signed' => [
                $default => $this->firstStage(), 'BOOT/grubx64.efi' => $this->signed($this->loader(sbat: true)),
            ],
            default => [],
        };
    }

    /** @param  array<string, string>  $files */
    private function fileSystem(string $image, int $at, string $kind, array $files): void
    {
        $blocks = (string) ((self::SIZE - 3) * 1024);
        if ($kind === 'exfat' || $kind === 'ext4') {
            $part = "{$this->folder}/part-".bin2hex(random_bytes(4));
            $this->blank($part, self::SIZE - 3);
            $kind === 'exfat' ? self::run('mkfs.exfat', $part) : self::run('mkfs.ext4', '-q', '-F', $part);
            self::run('dd', "if={$part}", "of={$image}", 'bs=1M', 'seek='.intdiv($at, self::MEBIBYTE), 'conv=notrunc');
            unlink($part);

            return;
        }
        [$bits, $cluster] = match ($kind) {
            'fat16' => ['16', '4'], 'fat12' => ['12', '32'], default => ['32', '1'],
        };
        self::run(
            'mkfs.vfat', '-F', $bits, '-s', $cluster, '--offset', (string) intdiv($at, 512), $image, $blocks,
        );
        self::run('mmd', '-i', "{$image}@@{$at}", '::/EFI', '::/EFI/BOOT', '::/EFI/VENDOR');
        foreach ($files as $path => $bytes) {
            file_put_contents($file = "{$this->folder}/part-".bin2hex(random_bytes(4)), $bytes);
            self::run('mcopy', '-i', "{$image}@@{$at}", $file, "::/EFI/{$path}");
            unlink($file);
        }
        match ($kind) {
            'fat-no-mark' => $this->written($image, $at + 510, "\0\0"),
            'fat-no-jump' => $this->written($image, $at, "\0\0\0"),
            // A count of sectors that reaches past the partition and the device.
            'fat-odd-count' => $this->written($image, $at + 32, pack('V', 4 * self::SIZE * 2048)),
            default => '',
        };
    }

    /** @param  array{table: string, file_system: string, loader: string, damage: string, code: string}  $drawn */
    private function code(string $image, int $at, array $drawn): void
    {
        // Without a table the file system's own sector stands there, with what its maker put in.
        if ($at === 0 || $drawn['code'] === 'zeros') {
            return;
        }
        $walks = (string) file_get_contents('/usr/lib/syslinux/mbr/mbr.bin');
        $print = "\xFC\x31\xC0\x8E\xD8\xBE\x20\x7C\xAC\x84\xC0\x74\x06\xB4\x0E\xCD\x10\xEB\xF5\xF4\xEB\xFD";
        $this->written($image, 0, match ($drawn['code']) {
            'walks', 'walks-active', 'walks-to-loader' => $walks,
            'prints' => str_pad($print, 0x20, "\x90").Emulator::MARK."\r\n\0",
            'returns' => "\xCD\x18",
            'loops' => "\xEB\xFE",
            'halts' => "\xFA\xF4\xEB\xFD",
            default => (new Randomizer(new Mt19937(strlen(implode('', $drawn)))))->getBytes(440),
        });
        if ($drawn['code'] !== 'walks' && str_starts_with($drawn['code'], 'walks')) {
            $this->written($image, $drawn['table'] === 'mbr-second' ? 462 : 446, "\x80");
        }
        if ($drawn['code'] === 'walks-to-loader' && str_starts_with($drawn['file_system'], 'fat')) {
            $this->oldLoader($image, $at);
        }
    }

    /** A loader for the old way in the file system; one that its installer does not take stays as it is. */
    private function oldLoader(string $image, int $at): void
    {
        try {
            self::run('syslinux', '-t', (string) $at, '-i', $image);
            file_put_contents($file = "{$this->folder}/syslinux.cfg", 'SAY '.Emulator::MARK."\nPROMPT 1\n");
            self::run('mcopy', '-i', "{$image}@@{$at}", $file, '::/syslinux.cfg');
        } catch (\Throwable) {
            return;
        }
    }

    private function damage(string $image, int $at, string $damage): void
    {
        $end = self::SIZE * self::MEBIBYTE;
        match ($damage) {
            'header' => $this->damaged($image, [512 + 40]),
            'both-headers' => $this->damaged($image, [512 + 40, $end - 512 + 40]),
            'backup-header' => $this->damaged($image, [$end - 512 + 40]),
            'active-protective' => $this->written($image, 446, "\x80"),
            'not-announced' => $this->written($image, 450, "\x0C"),
            'cut-behind' => $this->cut($image, 30),
            'no-55aa' => $this->written($image, 510, "\0\0"),
            'first-fat' => $this->written($image, $at + 32 * 512, str_repeat("\xA5", 512)),
            default => '',
        };
    }
}
