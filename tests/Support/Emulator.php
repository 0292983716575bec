<?php

namespace Tests\Support;

use Symfony\Component\Process\Process;

/** Emulated firmware from Debian with one stick and nothing else: the judge of what the boot model says. */
final class Emulator
{
    public const MARK = 'COBBLE-STARTED';

    private const OVMF = '/usr/share/OVMF';

    /** Text of a first loader that gives up on the next one. */
    private const FIRST_STAGE_STOPS = [
        'Failed to open',
        'Failed to load image',
        'Verification failed',
        'Security Violation',
        'start_image() returned',
        'Could not read file',
        'grub rescue',
        'error: ',
    ];

    /** Nothing printed for so long after the boot sector was entered is silence. */
    private const SILENCE = 8.0;

    public string $printed = '';

    public function __construct(private readonly string $folder)
    {
    }

    /** The variable store that enforces Secure Boot with the key Debian ships for tests. */
    public static function secureStore(): string
    {
        return self::OVMF.'/OVMF_VARS_4M.snakeoil.fd';
    }

    /**
     * @param  string  $firmware  uefi, uefi-secure or bios
     * @param  string|null  $store  variable store; its copy is used
     * @return string one of the five words of a stick
     */
    public function outcome(string $image, string $firmware, ?string $store = null, int $seconds = 240): string
    {
        $serial = "{$this->folder}/serial-".bin2hex(random_bytes(4));
        $stick = [
            '-drive',
            "if=none,id=stick,format=raw,snapshot=on,file={$image}",
            '-device',
            'qemu-xhci',
            '-device',
            'usb-storage,drive=stick',
        ];
        $common = [
            'qemu-system-x86_64',
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
            "file:{$serial}",
        ];
        if ($firmware === 'bios') {
            $process = new Process(
                [...$common, '-machine', 'pc,graphics=off', '-vga', 'none', ...$stick],
                timeout: $seconds + 10,
            );
        } else {
            $vars = "{$this->folder}/vars-".bin2hex(random_bytes(4));
            copy($store ?? ($firmware === 'uefi' ? self::OVMF.'/OVMF_VARS_4M.fd' : self::secureStore()), $vars);
            $secure = $firmware === 'uefi-secure';
            $process = new Process(
                [
                    ...$common,
                    '-machine',
                    $secure ? 'q35,smm=on' : 'q35',
                    ...$secure ? ['-global', 'driver=cfi.pflash01,property=secure,value=on'] : [],
                    '-drive',
                    'if=pflash,format=raw,readonly=on,file='.
                    self::OVMF.
                    ($secure ? '/OVMF_CODE_4M.secboot.fd' : '/OVMF_CODE_4M.fd'),
                    '-drive',
                    "if=pflash,format=raw,file={$vars}",
                    ...$stick,
                ],
                timeout: $seconds + 10,
            );
        }
        $process->start();
        $outcome = null;
        $changed = microtime(true);
        for (
            $end = microtime(true) + $seconds;
            $outcome === null && microtime(true) < $end && $process->isRunning();
            usleep(100_000)
        ) {
            $printed = (string) @file_get_contents($serial);
            if ($printed !== $this->printed) {
                [$this->printed, $changed] = [$printed, microtime(true)];
            }
            $outcome = $firmware === 'bios' ? $this->bios(microtime(true) - $changed) : $this->uefi();
        }
        $process->stop(0);
        @unlink($serial);
        isset($vars) && @unlink($vars);

        return $outcome ?? 'silent';
    }

    private function uefi(): ?string
    {
        if (str_contains($this->printed, self::MARK)) {
            return 'starts';
        }
        // The firmware turns to its own shell, or gives up, only after the stick has failed.
        $own = explode('EFI Internal Shell', $this->printed, 2);
        $over = count($own) > 1 || str_contains($this->printed, 'No bootable option');
        foreach (self::FIRST_STAGE_STOPS as $text) {
            if (str_contains($own[0], $text)) {
                return 'loader-stopped';
            }
        }

        return match (true) {
            ! $over => null,
            str_contains($own[0], 'Access Denied') => 'refused-secure-boot',
            default => 'no-boot-device',
        };
    }

    private function bios(float $quiet): ?string
    {
        if (str_contains($this->printed, self::MARK)) {
            return 'starts';
        }
        if (str_contains($this->printed, 'No bootable device')) {
            return 'no-boot-device';
        }
        $entered = strrpos($this->printed, 'Booting from');
        if ($entered === false || $quiet < self::SILENCE) {
            return null;
        }
        $after = trim(
            (string) preg_replace(
                '/\e\[[0-9;?]*[A-Za-z]|[\x00-\x1F]+/',
                ' ',
                explode('...', substr($this->printed, $entered), 2)[1] ?? '',
            ),
        );

        return $after === '' ? 'silent' : 'loader-stopped';
    }
}
