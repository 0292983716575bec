<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Proof;

use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Machine\Partition;
use Cobblestone\Runbook\Evidence;

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
        $devices = new ReadDevices($this->machine, $rows);
        $read = [];
        foreach ($rows as $row) {
            $read[$row->id] = $this->row($row, $devices);
        }

        return array_filter($read);
    }

    /**
     * What was read and yet is no answer, in words.
     *
     * @param  list<Evidence>  $rows
     * @return list<string>
     */
    public function remarks(array $rows): array
    {
        return (new ReadDevices($this->machine, $rows))->remarks();
    }

    private function row(Evidence $row, ReadDevices $devices): ?Observation
    {
        $id = $row->id;

        return match (true) {
            isset(self::FACTS[$id]) => self::known($this->machine->fact(self::FACTS[$id])),
            str_starts_with($id, RowId::SETTING) => self::known(
                $this->machine->fact('firmware.'.substr($id, strlen(RowId::SETTING))),
            ),
            str_starts_with($id, RowId::DEVICE) => $devices->device($row),
            str_starts_with($id, RowId::ALIKE) => $devices->alike($id),
            str_starts_with($id, RowId::LINK) => $devices->link($id),
            str_starts_with($id, RowId::DRIVE) => $this->drive($id),
            default => match ($id) {
                'memory_rate' => $this->rate(),
                'drive_size' => $this->onlyDrive(),
                'without_driver' => $devices->withoutDriver(),
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
