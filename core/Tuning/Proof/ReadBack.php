<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Proof;

use Cobblestone\Machine\Device;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Machine\Partition;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;

/**
 * What the readings of a finished machine say to each row; what they do not say stays open, it is never assumed
 * (rule T1).
 */
final readonly class ReadBack
{
    /** Settings of the firmware that a running system can tell. */
    public const SETTINGS = ['secure_boot', 'key_mode'];

    /** Row => the fact that answers it as it stands. */
    private const FACTS = [
        'cores' => 'cores',
        'threads' => 'threads',
        'memory_installed' => 'memory_bytes',
        'memory_usable' => 'memory.usable_bytes',
        'firmware_version' => 'firmware.version',
        'build' => 'running.build',
    ];

    /**
     * @param  Machine  $machine  built of the readings of the finished machine and of nothing else
     * @param  string  $clock  how its clock is seen to be wrong; empty where it is not
     */
    public function __construct(private Machine $machine, private string $clock = '')
    {
    }

    /**
     * @param  list<Evidence>  $rows
     * @return array<string, Observation> by row, those that were read
     */
    public function all(array $rows): array
    {
        $read = [];
        foreach ($rows as $row) {
            $read[$row->id] = $this->row($row);
        }

        return array_filter($read);
    }

    private function row(Evidence $row): ?Observation
    {
        $id = $row->id;

        return match (true) {
            isset(self::FACTS[$id]) => self::known($this->machine->fact(self::FACTS[$id])),
            str_starts_with($id, RowId::SETTING) => self::known(
                $this->machine->fact('firmware.'.substr($id, strlen(RowId::SETTING))),
            ),
            str_starts_with($id, RowId::DEVICE) => $this->device($row),
            str_starts_with($id, RowId::LINK) => $this->link($id),
            str_starts_with($id, RowId::DRIVE) => $this->drive($id),
            default => match ($id) {
                'memory_rate' => $this->rate(),
                'drive_size' => $this->onlyDrive(),
                'without_driver' => $this->withoutDriver(),
                'system' => $this->system($row),
                'encryption' => $this->encryption(),
                'clock' => $this->clock === '' ? null : new Observation('no', 'the collector', $this->clock),
                default => null,
            },
        };
    }

    private static function known(Fact $fact): ?Observation
    {
        return $fact->isKnown() && is_scalar($fact->value) && $fact->text() !== ''
            ? new Observation($fact->text(), $fact->origin)
            : null;
    }

    private function rate(): ?Observation
    {
        $set = array_filter(array_map(
            static fn (MemoryModule $module): ?int => $module->isEmpty() ? null : $module->setTransfers,
            $this->machine->modules,
        ));

        return $set === [] ? null : new Observation(min($set).' MT/s', 'dmidecode');
    }

    private function device(Evidence $row): ?Observation
    {
        if ($this->machine->devices === []) {
            return null;
        }
        foreach ($this->machine->devices as $device) {
            if (RowId::device($device->identifier) === $row->id) {
                return $row->kind === EvidenceKind::Text ? self::version($device) : self::served($device);
            }
        }
        $sameBus = array_filter(
            $this->machine->devices,
            static fn (Device $one): bool => str_starts_with($row->id, RowId::DEVICE.$one->bus().':'),
        );

        // A list that shows nothing of that bus says nothing of what is on it.
        return $sameBus === [] ? null : new Observation(
            $row->kind === EvidenceKind::Text ? 'not there' : DeviceRows::MISSING,
            'device list',
            'not there',
        );
    }

    private static function version(Device $device): ?Observation
    {
        return match (true) {
            $device->isDriven() === false => new Observation('without a driver', 'device list', 'without a driver'),
            $device->driver !== null
                && preg_match('/[0-9]+\.[0-9]/', $device->driver) === 1 => new Observation(
                    $device->driver,
                    'device list',
                ),
            default => null,
        };
    }

    private static function served(Device $device): ?Observation
    {
        return match ($device->isDriven()) {
            true => new Observation(DeviceRows::DRIVEN, 'device list'),
            false => new Observation(DeviceRows::BARE, 'device list'),
            null => null,
        };
    }

    /** Lines such as "pci:46e1:7700 width 16", of which the widest counts where several are alike. */
    private function link(string $id): ?Observation
    {
        $links = $this->machine->fact('device.links')->value;
        $widths = [];
        foreach (is_array($links) ? $links : [] as $line) {
            if (
                preg_match('/^(\S+) width ([0-9]{1,2})$/', $line, $m) === 1 && RowId::link($m[1]) === $id
            ) {
                $widths[] = (int) $m[2];
            }
        }

        return $widths === [] ? null : new Observation((string) max($widths), 'the collector');
    }

    private function drive(string $id): ?Observation
    {
        foreach ($this->machine->drives as $drive) {
            if (RowId::drive($drive) === $id) {
                return new Observation((string) $drive->size->count, 'lsblk');
            }
        }

        return $this->machine->drives === [] ? null : new Observation('0', 'lsblk', 'no drive of this serial');
    }

    private function onlyDrive(): ?Observation
    {
        $internal = $this->machine->internalDrives();

        return count($internal) === 1 ? new Observation((string) $internal[0]->size->count, 'lsblk') : null;
    }

    private function withoutDriver(): ?Observation
    {
        $said = array_filter(
            $this->machine->devices,
            static fn (Device $device): bool => $device->isDriven() !== null,
        );
        $bare = array_values(array_filter($said, static fn (Device $device): bool => $device->isDriven() === false));

        return $said === [] ? null : new Observation(
            (string) count($bare),
            'device list',
            implode(', ', array_map(static fn (Device $one): string => $one->name, array_slice($bare, 0, 5))),
        );
    }

    /** A name says which system runs; which edition of several it is, it does not. */
    private function system(Evidence $row): ?Observation
    {
        $running = $this->machine->fact('running.system');
        if (! $running->isKnown() || ! isset($row->options['this'])) {
            return null;
        }
        $runs = mb_strtolower($running->text());
        $wanted = mb_strtolower($row->options['this']);
        // A point release, or words such as a code name, follow the name.
        $is = $runs === $wanted || preg_match('/^'.preg_quote($wanted, '/').'[. ]/', $runs) === 1;

        return new Observation($is ? 'this' : 'other', $running->origin, $running->text());
    }

    /** Of several drives inside, none is known to be the system's: then only what holds of all of them is said. */
    private function encryption(): ?Observation
    {
        $said = [];
        foreach ($this->machine->internalDrives() as $drive) {
            if (! $drive->detailed) {
                return null;
            }
            $sealed = array_filter($drive->partitions, static fn (Partition $one): bool => $one->encrypted);
            $said[] = $drive->partitions === [] ? '' : ($sealed === [] ? 'off' : 'on');
        }
        $said = array_values(array_unique(array_filter($said)));

        return count($said) === 1 ? new Observation($said[0], 'lsblk') : null;
    }
}
