<?php

declare(strict_types=1);

namespace App\Devices\Emulated;

use App\Devices\Command;
use App\Devices\Lease;
use App\Devices\LimitedProcess;
use App\Devices\Limits;
use Cobblestone\Boot\Emulated\EmulatedFirmware;
use Cobblestone\Boot\Emulated\StartJudge;
use Cobblestone\Boot\Emulated\StartSeen;
use RuntimeException;
use Symfony\Component\Process\Exception\ProcessTimedOutException;

/**
 * A machine in the memory of this computer, with the firmware that Debian ships and one medium: no network, no drive,
 * no rights, a bound on time, memory and output. What it writes goes to a copy that is thrown away.
 */
final class EmulatedMachine
{
    private const PROGRAM = 'qemu-system-x86_64';

    private const FIRMWARE = '/usr/share/OVMF';

    /** A variable store that enforces Secure Boot by a key that Debian ships for tests. */
    public const TEST_KEYS = self::FIRMWARE.'/OVMF_VARS_4M.snakeoil.fd';

    /** Whom it runs as where this process has all rights. */
    private const NOBODY = 'nobody';

    /** Address space besides the machine's own memory: translated code, libraries. */
    private const BESIDE_MEMORY = 2_147_483_648;

    /** Bytes of the largest file it may write: of the copy that takes its writes. */
    private const LARGEST_FILE = 1_073_741_824;

    /** Of what it printed, the end that is kept to be read. */
    public const TEXT_KEPT = 20_000;

    private const TELL_EVERY = 1.0;

    private const LOOK_MICROSECONDS = 200_000;

    /** How long a machine may take before its firmware has said anything is not known; so long it may run at most. */
    public const MOST_SECONDS = 600;

    /** @param  string  $folder  of its own, which nothing else uses */
    public function __construct(
        private readonly string $folder,
        private readonly EmulatedFirmware $firmware,
        private readonly EmulatedHardware $hardware = new EmulatedHardware,
    ) {
    }

    /** What is missing on this computer; empty where nothing is. */
    public static function missing(): string
    {
        $lacks = array_keys(array_filter([
            'qemu-system-x86' => ! is_executable('/usr/bin/'.self::PROGRAM),
            'ovmf' => ! is_file(self::FIRMWARE.'/OVMF_CODE_4M.secboot.fd'),
            'seabios' => ! is_dir('/usr/share/seabios'),
        ]));

        return $lacks === []
            ? ''
            : 'This computer has no emulated machine yet. Its administrator adds it with: apt-get install '
                .implode(' ', $lacks);
    }

    /**
     * @param  string|null  $medium  a file with the bytes of a stick or an image of one, which is never written; null:
     *     the machine has its drive alone
     * @param  string|null  $store  variable store with the keys that Secure Boot goes by; null for Debian's test keys
     * @param  (callable(SeenSoFar, float): void)|null  $meanwhile  told every second or so, with the seconds so far;
     *     what it throws ends the start
     *
     * @throws RuntimeException where it cannot be started at all
     */
    public function start(
        ?string $medium,
        StartJudge $judge,
        int $seconds,
        ?string $store = null,
        ?callable $meanwhile = null,
    ): EmulatedStart {
        $slot = self::slot();
        $process = Command::of(
            $this->arguments($medium, $store),
            $seconds + 30,
            null,
            new Limits(
                self::BESIDE_MEMORY + $this->hardware->memoryMib * 1_048_576,
                1_000_000,
                self::LARGEST_FILE,
            ),
        );
        $monitor = new MachineMonitor("{$this->folder}/monitor");
        try {
            $process->start();

            return $this->watched($process, $monitor, $judge, min($seconds, self::MOST_SECONDS), $meanwhile);
        } catch (ProcessTimedOutException) {
            throw new RuntimeException('The emulated machine did not end in time and was stopped.');
        } finally {
            $monitor->close();
            $process->stop(0);
            fclose($slot);
        }
    }

    private function watched(
        LimitedProcess $process,
        MachineMonitor $monitor,
        StartJudge $judge,
        int $seconds,
        ?callable $meanwhile,
    ): EmulatedStart {
        $begun = $told = microtime(true);
        $seen = new SeenSoFar($this->folder);
        $outcome = null;
        while ($outcome === null && microtime(true) - $begun < $seconds && $process->isRunning()) {
            usleep(self::LOOK_MICROSECONDS);
            $process->giveWay();
            $seen->look($monitor);
            if ($meanwhile !== null && microtime(true) - $told >= self::TELL_EVERY) {
                $told = microtime(true);
                $meanwhile($seen, $told - $begun);
            }
            $outcome = $seen->isEndless()
                ? StartSeen::CannotTell
                : $judge->seen($seen->text(), $seen->quiet(), $monitor->resets(), $seen->moves());
        }
        $restarts = $outcome === null && ! $process->isRunning();
        if ($restarts) {
            $this->mustHaveRestarted($process);
            $seen->look($monitor);
            $outcome = $judge->restarted($seen->text());
        }

        return new EmulatedStart(
            $outcome ?? StartSeen::CannotTell,
            round(microtime(true) - $begun, 1),
            mb_substr($seen->text(), -self::TEXT_KEPT),
            $restarts ? $this->pictureSoFar() : $this->lastPicture($monitor),
            $monitor->resets() + ($restarts ? 1 : 0),
        );
    }

    /** With a drive to work on the emulator ends where the machine restarts; else it ends by a fault alone. */
    private function mustHaveRestarted(LimitedProcess $process): void
    {
        if ($this->hardware->drive === null || $process->getExitCode() !== 0) {
            throw new RuntimeException('The emulated machine ended by itself: '.Command::lastWords(
                $process->getErrorOutput(),
            ));
        }
    }

    private function pictureSoFar(): ?string
    {
        return is_file("{$this->folder}/picture.png") ? "{$this->folder}/picture.png" : null;
    }

    private function lastPicture(MachineMonitor $monitor): ?string
    {
        $monitor->picture("{$this->folder}/last.png");
        for ($i = 0; $i < 10; $i++) {
            usleep(self::LOOK_MICROSECONDS);
            // A PNG ends with the name of its last part and its sum: before that it is still being written.
            if (str_contains(substr((string) @file_get_contents("{$this->folder}/last.png"), -12), 'IEND')) {
                return "{$this->folder}/last.png";
            }
        }

        return $this->pictureSoFar();
    }

    /**
     * One at a time for each processor of this computer.
     *
     * @return resource held until it is closed
     */
    private static function slot()
    {
        $processors = max(1, (int) trim(Command::run(['nproc'], 5)));
        for ($slot = 1; $slot <= $processors; $slot++) {
            $lease = Lease::take("emulated-{$slot}");
            if ($lease !== null) {
                return $lease;
            }
        }
        throw new RuntimeException(
            'As many machines are being emulated as this computer has processors. Wait for one.',
        );
    }

    /** @return list<string> */
    private function arguments(?string $medium, ?string $store): array
    {
        return [
            self::PROGRAM, '-name', 'cobblestone', '-accel', 'tcg,tb-size=128',
            '-m', (string) $this->hardware->memoryMib,
            '-display', 'none', '-nodefaults', '-vga', 'std', '-net', 'none',
            '-sandbox', 'on,obsolete=deny,elevateprivileges=allow,spawn=deny,resourcecontrol=deny',
            ...posix_geteuid() === 0 ? ['-runas', self::NOBODY] : [],
            '-serial', "file:{$this->folder}/serial",
            '-qmp', "unix:{$this->folder}/monitor,server=on,wait=off",
            ...$this->board($store),
            '-device', 'qemu-xhci',
            ...$medium === null ? [] : $this->hardware->stick($medium),
            ...$this->hardware->arguments(),
        ];
    }

    /** What the machine writes belongs to whom it runs as. */
    private function own(string $path): void
    {
        if (posix_geteuid() === 0) {
            chown($path, self::NOBODY);
        }
    }

    /** @return list<string> */
    private function board(?string $store): array
    {
        $this->own($this->folder);
        $this->hardware->drive === null || $this->own($this->hardware->drive);
        if ($this->firmware === EmulatedFirmware::Bios) {
            file_put_contents("{$this->folder}/port", pack('v', 0x3F8));

            // The old firmware prints on the serial line where this file says so, besides its picture.
            return ['-machine', 'pc', '-fw_cfg', "name=etc/sercon-port,file={$this->folder}/port"];
        }
        $secure = $this->firmware === EmulatedFirmware::UefiSecure;
        $keys = $secure ? self::TEST_KEYS : self::FIRMWARE.'/OVMF_VARS_4M.fd';
        copy($store ?? $keys, "{$this->folder}/variables");
        $this->own("{$this->folder}/variables");
        $code = self::FIRMWARE.($secure ? '/OVMF_CODE_4M.secboot.fd' : '/OVMF_CODE_4M.fd');

        return [
            '-machine', $secure ? 'q35,smm=on' : 'q35',
            ...$secure ? ['-global', 'driver=cfi.pflash01,property=secure,value=on'] : [],
            '-drive', "if=pflash,format=raw,readonly=on,file={$code}",
            '-drive', "if=pflash,format=raw,file={$this->folder}/variables",
        ];
    }
}
