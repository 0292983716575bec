<?php

use App\Devices\StandIn\LoaderFile;
use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\Scheme;
use Symfony\Component\Process\Process;
use Tests\Support\Workshop;

pest()->group('slow');

beforeEach(fn () => ($this->shop = new Workshop()));
afterEach(fn () => $this->shop->clear());

/** What an emulated UEFI machine with that stick, and nothing else, prints on its serial line. */
function startsUnderUefi(Workshop $shop, string $stick, string $until, int $seconds = 300): string
{
    copy('/usr/share/OVMF/OVMF_VARS_4M.fd', "{$shop->folder}/vars.fd");
    $process = new Process(
        [
            'qemu-system-x86_64',
            '-machine',
            'q35',
            '-accel',
            'tcg',
            '-m',
            '256',
            '-display',
            'none',
            '-nodefaults',
            '-net',
            'none',
            '-serial',
            "file:{$shop->folder}/serial.txt",
            '-drive',
            'if=pflash,format=raw,readonly=on,file=/usr/share/OVMF/OVMF_CODE_4M.fd',
            '-drive',
            "if=pflash,format=raw,file={$shop->folder}/vars.fd",
            '-drive',
            "if=none,id=stick,format=raw,file={$stick}",
            '-device',
            'qemu-xhci',
            '-device',
            'usb-storage,drive=stick',
        ],
        timeout: $seconds + 10,
    );
    $process->start();
    $printed = '';
    for (
        $end = microtime(true) + $seconds;
        microtime(true) < $end && ! str_contains($printed, $until) && $process->isRunning();
        usleep(200_000)
    ) {
        $printed = (string) @file_get_contents("{$shop->folder}/serial.txt");
    }
    $process->stop(0);

    return $printed;
}

it('starts a built stick with a boot loader of Debian\'s under emulated UEFI', function () {
    $tree = "{$this->shop->folder}/tree";
    mkdir("{$tree}/EFI/BOOT", recursive: true);
    mkdir("{$tree}/loader/entries", recursive: true);
    copy('/usr/lib/systemd/boot/efi/systemd-bootx64.efi', "{$tree}/EFI/BOOT/BOOTX64.EFI");
    file_put_contents("{$tree}/EFI/installer.efi", LoaderFile::make('THE INSTALLER WAS REACHED'));
    file_put_contents("{$tree}/loader/loader.conf", "timeout 0\n");
    file_put_contents("{$tree}/loader/entries/installer.conf", "title installer\nefi /EFI/installer.efi\n");
    $image = "{$this->shop->folder}/shelf/boot.iso";
    Workshop::says('xorriso', '-as', 'mkisofs', '-quiet', '-J', '-R', '-V', 'BOOT', '-o', $image, $tree);
    $stick = $this->shop->stick(300_000_256);
    $plan = $this->shop->plan($image, $stick, WriteMode::FilesCopied, Scheme::Mbr, false);
    $this->shop->build($plan, $stick, $image);
    expect(startsUnderUefi($this->shop, $stick->path(), 'THE INSTALLER WAS REACHED'))->toContain(
        'THE INSTALLER WAS REACHED',
    );
});

it('starts a stick that was written raw from a packed image', function () {
    $stick = $this->shop->stick(64_000_000);
    $image = $this->shop->image('disk.img.zst');
    $this->shop->build($this->shop->plan($image, $stick, WriteMode::Raw), $stick, $image);
    expect(startsUnderUefi($this->shop, $stick->path(), 'plain loader'))->toContain('plain loader');
});
