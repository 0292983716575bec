<?php

declare(strict_types=1);

namespace App\View;

use App\Models\DeviceLook;
use Cobblestone\Drivers\Audit\DeviceReading;
use Cobblestone\Drivers\Audit\DriverAudit;
use Cobblestone\Drivers\Audit\WhereToLook;
use Cobblestone\Drivers\PegFound;
use Cobblestone\Findings\Findings;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Identifier\HardwareIdentifier;
use Cobblestone\Machine\Identifier\IdentifierNames;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Plan;
use Cobblestone\Text\Counted;
use Illuminate\Support\Collection;

/** The driver shelf of a job, and every look at its devices (rules D3, D7, D9). */
final readonly class DriversPage
{
    /** @var list<DriverPeg> */
    public array $pegs;

    /** @var list<PegFound> */
    private array $found;

    private ?DriverAudit $audit;

    /** @var list<DeviceLook> the first one first */
    public array $looks;

    /** @param  Collection<int, DeviceLook>  $looks  the first one first */
    public function __construct(
        private Plan $plan,
        private Machine $machine,
        Collection $looks,
        private IdentifierNames $names,
    ) {
        $this->looks = array_values($looks->all());
        $this->found = Findings::of($plan)->drivers;
        $readings = array_map(
            static fn (DeviceLook $look): DeviceReading => $look->reading(),
            $this->looks,
        );
        $this->audit = $readings === [] ? null : new DriverAudit($readings);
        $this->pegs = $this->pegs($this->audit?->last()->devices ?? []);
    }

    /**
     * Devices alike share a peg: one package is for all of them.
     *
     * @param  array<string, Device>  $seen
     * @return list<DriverPeg>
     */
    private function pegs(array $seen): array
    {
        $alike = [];
        foreach ($seen as $device) {
            $alike[$device->identifier][] = $device;
        }

        return array_map(
            fn (PegFound $of): DriverPeg => new DriverPeg($of, $alike[$of->id] ?? [], $this->machine, $this->names),
            $this->found,
        );
    }

    /** @return list<string> the packages that travel on the stick */
    public function carries(): array
    {
        $carried = array_filter($this->found, static fn (PegFound $of): bool => $of->hangs === 'carried');

        return array_values(array_unique(array_map(static fn (PegFound $of): string => $of->package, $carried)));
    }

    public function unpackWords(): string
    {
        return count($this->carries()) === 1
            ? 'Unpack it into a folder for the stick'
            : 'Unpack them into a folder for the stick';
    }

    /** "6 devices: 3 packages lie ready, 1 travels on the stick, 1 the system brings, 1 has nothing yet" */
    public function sentence(): string
    {
        $many = array_count_values(array_map(static fn (PegFound $of): string => $of->hangs, $this->found));
        $parts = array_filter([
            self::part($many['hung'] ?? 0, 'has its package ready', 'have their package ready'),
            self::part($many['carried'] ?? 0, 'has it on the stick', 'have it on the stick'),
            self::part($many['brought'] ?? 0, 'is served by the system itself', 'are served by the system itself'),
            self::part($many['empty'] ?? 0, 'has nothing yet', 'have nothing yet'),
        ]);

        return Counted::of(count($this->found), 'device').': '.implode(', ', $parts).'.';
    }

    /** Why there is nothing on the shelf; empty where there is. */
    public function nothing(): string
    {
        return match (true) {
            $this->found !== [] => '',
            $this->plan->job->system === null => 'This job installs no system, so no driver is chosen for one.',
            ! $this->isReadInside() => 'Nobody has read what is inside this machine: bring the collector\'s '
                .'bundle on the intake page, or count its devices below once a system runs.',
            default => 'This path chooses no drivers device by device.',
        };
    }

    /** What is plugged in by chance says nothing of what is inside. */
    private function isReadInside(): bool
    {
        return array_filter($this->machine->devices, static fn (Device $one): bool => $one->bus() !== 'usb') !== [];
    }

    public function order(): ?Decision
    {
        return $this->plan->decision('drivers.order');
    }

    public function online(): ?Decision
    {
        return $this->plan->decision('drivers.online');
    }

    /** "41 devices: 35 → 39 → 40"; empty before the first look. */
    public function coverage(): string
    {
        return $this->audit?->coverage() ?? '';
    }

    /**
     * The newest first; the first look has nothing before it.
     *
     * @return list<array{look: DeviceLook, driven: string, cleared: string, lost: string, came: string, went: string}>
     */
    public function steps(): array
    {
        $steps = $this->audit?->steps() ?? [];
        $rows = [];
        foreach ($this->looks as $place => $look) {
            $step = $steps[$place - 1] ?? null;
            $rows[] = [
                'look' => $look,
                'driven' => "{$look->reading()->driven()} of {$look->reading()->count()}",
                'cleared' => self::names($step->cleared ?? []),
                'lost' => self::names($step->lost ?? []),
                'came' => self::names($step->came ?? []),
                'went' => self::names($step->went ?? []),
            ];
        }

        return array_reverse($rows);
    }

    /** @return list<array{device: Device, where: list<string>, hung: string}> what has no driver at the last look */
    public function left(): array
    {
        return array_map(function (Device $device): array {
            $identifier = HardwareIdentifier::of($device->identifier);
            $name = $identifier === null ? null : $this->names->of($identifier);

            return [
                'device' => $device,
                'hung' => $this->packageOf($device),
                'where' => WhereToLook::for($device, $this->machine, $name),
            ];
        }, array_values($this->audit?->left() ?? []));
    }

    /** How many the last look says nothing about. */
    public function unsaid(): int
    {
        return $this->audit?->last()->unsaid() ?? 0;
    }

    private function packageOf(Device $device): string
    {
        foreach ($this->found as $found) {
            if ($found->id === $device->identifier) {
                return $found->package;
            }
        }

        return '';
    }

    private static function part(int $many, string $one, string $several): string
    {
        return $many === 0 ? '' : "{$many} ".($many === 1 ? $one : $several);
    }

    /** @param  list<Device>  $devices */
    private static function names(array $devices): string
    {
        return implode(', ', array_map(static fn (Device $of): string => $of->name, $devices));
    }
}
