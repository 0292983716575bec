<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

use Cobblestone\Boot\Medium\LegacyCode;
use Cobblestone\Boot\Medium\Loader;
use Cobblestone\Boot\Medium\Volume;
use Cobblestone\Media\Inspection\FoundLoader;

/** The firmware tries one line of its list. */
final class Attempt
{
    use BehindTheLoader;

    public Outcome $outcome = Outcome::NoBootableDevice;

    public Ground $ground = Ground::Standard;

    /** @var list<Stone> */
    public array $stones = [];

    public ?string $device = null;

    public function __construct(private readonly BootState $state, private readonly Consulted $facts)
    {
    }

    /**
     * @param  string  $mode  uefi, both or legacy
     * @param  list<Stone>  $lead
     *
     * @throws Undetermined
     */
    public function of(BootDevice $device, ?BootEntry $entry, string $mode, array $lead): self
    {
        [$this->device, $this->stones] = [$device->id, $lead];
        if (! $device->attached) {
            $words = "{$device->title} is not plugged in.";

            return $this->fails(Outcome::NoBootableDevice, 'device', $words, cause: Cause::NotPluggedIn);
        }
        if ($device->kind === BootDevice::STICK && $this->facts->optional('firmware.usb_start') === 'off') {
            return $this->usbStartOff();
        }
        if (! $device->readable) {
            return $this->fails(Outcome::StickUnreadable, 'device', "{$device->title} does not answer when its "
                .'first sectors are read.');
        }
        $this->holds('device', "{$device->title} answers.");
        // A line that names a loader is a UEFI line.
        if ($mode === 'uefi' || ($mode === 'both' && $entry !== null)) {
            return $this->uefi($device, $entry);
        }
        if ($mode === 'legacy') {
            return $this->legacy($device);
        }
        // Both ways: a stick has two lines then, and the UEFI one is taken where there is one (rule F9).
        $before = $this->stones;
        $this->uefi($device, $entry);
        if ($this->outcome->distance() <= 3) {
            return $this;
        }
        [$uefi, $stones] = [$this->outcome, $this->stones];
        $this->stones = $before;
        $this->legacy($device);
        if ($this->outcome === Outcome::NoBootableDevice) {
            [$this->outcome, $this->stones] = [$uefi, $stones];
        }

        return $this;
    }

    private function usbStartOff(): self
    {
        return $this->fails(
            Outcome::NoBootableDevice,
            'device',
            'Starting from USB is switched off in the setup, so the stick is not listed.',
            cause: Cause::UsbStartOff,
        );
    }

    private function uefi(BootDevice $device, ?BootEntry $entry): self
    {
        $medium = $device->medium;
        if ($medium->tableFault !== null) {
            return $this->fails(Outcome::LoaderMissing, 'table', ucfirst($medium->tableFault).'.');
        }
        $this->holds('table', ucfirst($medium->table).'.');
        $fat = array_values(array_filter($medium->volumes, static fn (Volume $volume): bool => $volume->fat));
        if ($entry?->partition !== null) {
            $named = static fn (Volume $volume): bool => $volume->guid === $entry->partition;
            $fat = array_values(array_filter($fat, $named));
            if ($fat === []) {
                return $this->fails(Outcome::LoaderMissing, 'volume', 'The entry names a partition that is no '
                    ."longer there ({$entry->partition}): it is dead.");
            }
        }
        if ($fat === []) {
            return $this->fails(
                Outcome::LoaderMissing,
                'volume',
                $medium->byOptical
                    ? 'Nothing that its start catalogue names is a FAT file system, and firmware looks no further.'
                    : 'No partition holds a FAT file system: UEFI looks into no other.',
                $medium->byOptical ? Ground::Emulation : Ground::Standard,
            );
        }
        $this->holds('volume', $fat[0]->title.' is FAT.');
        $architecture = (string) $this->facts->get('architecture');
        $path = $entry->path ?? FoundLoader::defaultPath($architecture);
        foreach ($fat as $volume) {
            $loader = $volume->loader($path);
            if ($loader !== null) {
                return $this->loader($device, $loader, $architecture);
            }
        }

        return $this->noneForArchitecture($fat, $architecture, $path);
    }

    /**
     * @param  list<Volume>  $fat
     */
    private function noneForArchitecture(array $fat, string $architecture, string $path): self
    {
        $others = array_merge(...array_map(static fn (Volume $volume): array => $volume->loaders, $fat));
        $for = array_map(static fn (Loader $loader): ?string => $loader->architecture, $others);
        $built = array_values(array_unique(array_filter($for)));
        $words = 'There is a loader for '.implode(' and ', $built).", none for {$architecture}.";

        return $built !== [] && ! in_array($architecture, $built, true)
            ? $this->fails(Outcome::WrongArchitecture, 'loader', $words)
            : $this->fails(Outcome::LoaderMissing, 'loader', "No {$path} on it.");
    }

    private function loader(BootDevice $device, Loader $loader, string $architecture): self
    {
        $this->holds('loader', "{$loader->path} is there.");
        if ($loader->fault !== null && $loader->judged === null) {
            return $this->fails(Outcome::LoaderMissing, 'program', ucfirst($loader->fault).'.');
        }
        $signature = new SignatureCheck($this->state, $this->facts);
        $enforced = $signature->isInForce();
        // The signature is asked for before the program is looked at any closer.
        $verdict = $enforced ? $signature->of($loader) : null;
        if ($verdict !== null && $verdict['refused']) {
            return $this->fails(
                Outcome::RefusedBySecureBoot,
                'signature',
                $verdict['words'],
                cause: $verdict['cause'],
            );
        }
        if ($loader->fault !== null) {
            return $this->fails(Outcome::LoaderMissing, 'program', ucfirst($loader->fault).'.');
        }
        $this->holds('signature', $verdict['words'] ?? 'Secure Boot is not in force: nobody asks for a signature.');

        return $this->program($device, $loader, $architecture, $enforced);
    }

    private function program(BootDevice $device, Loader $loader, string $architecture, bool $enforced): self
    {
        if ($loader->architecture !== null && $loader->architecture !== $architecture) {
            $words = "It is built for {$loader->architecture}, the firmware runs on {$architecture}.";

            return $this->fails(Outcome::WrongArchitecture, 'program', $words);
        }
        $this->holds(
            'program',
            $loader->architecture === null
                ? 'Its kind was not inspected.'
                : "Built for {$loader->architecture}, and whole.",
        );
        $next = $loader->nextFault ?? ($enforced ? $loader->nextRefused : null);
        if ($next !== null) {
            return $this->fails(Outcome::LoaderStopped, 'next stage', $next, Ground::Emulation);
        }

        return $this->whatRuns($device, ground: $device->medium->byOptical ? Ground::Emulation : Ground::Standard);
    }

    private function legacy(BootDevice $device): self
    {
        $code = $device->medium->legacy;
        if ($code === LegacyCode::Unknown) {
            $code = LegacyCode::from((string) $this->facts->get('legacy.code'));
        }
        $words = ucfirst($code->title()).'.';
        if ($code === LegacyCode::Starts) {
            $this->holds('boot sector', $words);

            return $this->whatRuns($device);
        }

        return $this->fails(match ($code) {
            LegacyCode::Zeros, LegacyCode::Hangs => Outcome::Silent,
            LegacyCode::Stops => Outcome::LoaderStopped,
            default => Outcome::NoBootableDevice,
        }, 'boot sector', $words, $code === LegacyCode::NoMark ? Ground::Standard : Ground::Emulation);
    }

    private function holds(string $name, string $words): void
    {
        $this->stones[] = new Stone($name, true, $words);
    }

    private function fails(
        Outcome $outcome,
        string $name,
        string $words,
        Ground $ground = Ground::Standard,
        ?Cause $cause = null,
    ): self {
        $this->stones[] = new Stone($name, false, $words, $cause);
        [$this->outcome, $this->ground] = [$outcome, $ground];

        return $this;
    }
}
