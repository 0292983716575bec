<?php

namespace Tests\Support;

/** Media whose loaders nobody here made: Debian's own, as their packages bring them or put onto a stick as they are. */
final class DebianMedia
{
    use MakesSticks;

    public const NAMES = [
        'grub-rescue-cdrom', 'grub-rescue-floppy', 'ipxe-iso', 'ipxe-efi', 'ipxe-snponly', 'shim-alone', 'shim-grub',
        'shim-grub-cd', 'grub-signed', 'grub-net', 'first-of-another-kind', 'boot-manager',
    ];

    /** What they print once they run. */
    public const SAY = ['iPXE initialising', 'GNU GRUB', 'Welcome to GRUB', 'grub>', 'The highlighted entry'];

    private const GRUB = '/usr/lib/grub/x86_64-efi-signed';

    /** Where bin/test --all lays what the packages hold: no boot loader is installed on this computer for a test. */
    public static function root(): string
    {
        return base_path('var/test/media');
    }

    public function __construct(private readonly string $folder)
    {
    }

    public function make(string $name): string
    {
        $read = static fn (string $file): string => (string) file_get_contents(
            is_file(self::root().$file) ? self::root().$file : $file,
        );
        $shim = static fn (): string => $read('/usr/lib/shim/shimx64.efi.signed');

        return match ($name) {
            'grub-rescue-cdrom' => $this->copied('/usr/lib/grub-rescue/grub-rescue-cdrom.iso'),
            'grub-rescue-floppy' => $this->copied('/usr/lib/grub-rescue/grub-rescue-floppy.img'),
            'ipxe-iso' => $this->copied('/usr/lib/ipxe/ipxe.iso'),
            'ipxe-efi' => $this->stick(['BOOTX64.EFI' => $read('/boot/ipxe.efi')]),
            'ipxe-snponly' => $this->stick(['BOOTX64.EFI' => $read('/usr/lib/ipxe/snponly.efi')]),
            'shim-alone' => $this->stick(['BOOTX64.EFI' => $shim()]),
            'shim-grub' => $this->stick([
                'BOOTX64.EFI' => $shim(), 'grubx64.efi' => $read(self::GRUB.'/grubx64.efi.signed'),
            ]),
            'shim-grub-cd' => $this->stick([
                'BOOTX64.EFI' => $shim(), 'grubx64.efi' => $read(self::GRUB.'/gcdx64.efi.signed'),
            ]),
            'grub-signed' => $this->stick(['BOOTX64.EFI' => $read(self::GRUB.'/grubx64.efi.signed')]),
            'grub-net' => $this->stick(['BOOTX64.EFI' => $read(self::GRUB.'/grubnetx64.efi.signed')]),
            'first-of-another-kind' => $this->stick([
                'BOOTX64.EFI' => $shim(), 'grubx64.efi' => $read('/boot/ipxe.efi'),
            ]),
            'boot-manager' => $this->stick([
                'BOOTX64.EFI' => $read('/usr/lib/systemd/boot/efi/systemd-bootx64.efi'),
            ]),
            default => throw new \InvalidArgumentException($name),
        };
    }

    private function copied(string $from): string
    {
        copy(self::root().$from, $image = "{$this->folder}/".basename($from));

        return $image;
    }

    /** @param  array<string, string>  $files  of EFI/BOOT */
    private function stick(array $files): string
    {
        $image = $this->blank("{$this->folder}/stick.img", 64);
        self::run('sgdisk', '-n', '1:2048:+60M', '-t', '1:ef00', $image);

        return $this->fat($image, 1_048_576, 60, $files);
    }
}
