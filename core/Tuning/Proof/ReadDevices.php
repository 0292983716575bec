<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Proof;

use Cobblestone\Machine\Device;
use Cobblestone\Machine\Difference\CutList;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;

/** What the lists of devices of a finished machine say to the rows of devices (rules T1, D7). */
final readonly class ReadDevices
{
    /** @var array<string, array{int, int}> bus => devices that its list names, of so many that it is asked for */
    private array $cut;

    /**
     * @param  Machine  $machine  built of the readings of the finished machine and of nothing else
     * @param  list<Evidence>  $rows
     */
    public function __construct(private Machine $machine, array $rows)
    {
        $this->cut = self::cut($machine, $rows);
    }

    /**
     * @param  list<Evidence>  $rows
     * @return array<string, array{int, int}>
     */
    private static function cut(Machine $machine, array $rows): array
    {
        $counts = [];
        $there = array_map(static fn (Device $one): string => RowId::device($one->identifier), $machine->devices);
        foreach ($rows as $row) {
            $bus = self::bus($row);
            if ($bus !== null) {
                $counts[$bus] ??= [0, 0];
                $counts[$bus][0] += in_array($row->id, $there, true) ? 1 : 0;
                $counts[$bus][1]++;
            }
        }
        $listed = array_map(static fn (Device $one): string => $one->bus(), $machine->devices);

        return array_filter(
            $counts,
            static fn (array $of, string $bus): bool => in_array($bus, $listed, true)
                && CutList::is($of[0], $of[1]),
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /** The bus of a device's row; null for a row of something else. */
    private static function bus(Evidence $row): ?string
    {
        return str_starts_with($row->id, RowId::DEVICE)
            ? explode(':', substr($row->id, strlen(RowId::DEVICE)), 2)[0]
            : null;
    }

    /** @return list<string> lists that were read and yet are not believed where they are silent */
    public function remarks(): array
    {
        $remarks = [];
        foreach ($this->cut as $bus => [$named, $of]) {
            $remarks[] = 'The list of devices names '.($named === 0 ? 'none' : $named)." of the {$of} that belong on "
                .strtoupper($bus).': it looks like a part of one. What it does not name stays open; read the whole '
                .'list.';
        }

        return $remarks;
    }

    /** Whether it is there, or the version of its driver where that is what the row asks for. */
    public function device(Evidence $row): ?Observation
    {
        foreach ($this->machine->devices as $device) {
            if (RowId::device($device->identifier) === $row->id) {
                return $row->kind === EvidenceKind::Text ? self::version($device) : self::served($device);
            }
        }

        return $this->isSilent((string) self::bus($row)) ? null : new Observation(
            $row->kind === EvidenceKind::Text ? 'not there' : DeviceRows::MISSING,
            'device list',
            'not there',
        );
    }

    /** A list that shows nothing of a bus, or a part of it, says nothing of what else is on it. */
    private function isSilent(string $bus): bool
    {
        return isset($this->cut[$bus]) || array_filter(
            $this->machine->devices,
            static fn (Device $one): bool => $one->bus() === $bus,
        ) === [];
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

    /** How many of several alike; a list that names none of them is answered by the row of the device itself. */
    public function alike(string $row): ?Observation
    {
        foreach ($this->machine->devices as $device) {
            if (RowId::alike($device->identifier) === $row) {
                return new Observation((string) $device->count, 'device list');
            }
        }

        return null;
    }

    /** Lines such as "pci:46e1:7700 width 16", of which the widest counts where several are alike. */
    public function link(string $row): ?Observation
    {
        $links = $this->machine->fact('device.links')->value;
        $widths = [];
        foreach (is_array($links) ? $links : [] as $line) {
            if (
                preg_match('/^(\S+) width ([0-9]{1,2})$/', $line, $m) === 1 && RowId::link($m[1]) === $row
            ) {
                $widths[] = (int) $m[2];
            }
        }

        return $widths === [] ? null : new Observation((string) max($widths), 'the collector');
    }

    /** How many no driver serves. A part of a list cannot say that there are no more. */
    public function withoutDriver(): ?Observation
    {
        $said = array_filter(
            $this->machine->devices,
            static fn (Device $device): bool => $device->isDriven() !== null,
        );
        $bare = array_values(array_filter($said, static fn (Device $device): bool => $device->isDriven() === false));

        return $said === [] || $this->cut !== [] ? null : new Observation(
            (string) count($bare),
            'device list',
            implode(', ', array_map(static fn (Device $one): string => $one->name, array_slice($bare, 0, 5))),
        );
    }
}
