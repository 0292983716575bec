<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Assessment\Encryption\EncryptionQuestions;
use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Inventory\InventoryReading;
use Cobblestone\Inventory\LsblkReader;
use Cobblestone\Inventory\Reading;
use Cobblestone\Inventory\UnreadableInventory;
use Cobblestone\Machine\Battery;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\MachineModel;
use Cobblestone\Machine\Model\WaysIn;
use Cobblestone\Machine\Port;
use Cobblestone\Machine\VolumeWords;
use Cobblestone\Quantity\Energy;

/** Brings catalogue, readings and answers together into one machine (rules A1, J7). */
final class MachineBuilder
{
    /**
     * @return array{0: Machine, 1: list<string>} the machine, and notes on what was not understood
     *
     * @throws BriefFault
     * @throws \Cobblestone\Catalogue\UnknownEntry
     */
    public static function build(Brief $brief, Catalogue $catalogue): array
    {
        $model = $brief->machine->model === null ? null : $catalogue->machine($brief->machine->model);
        $kind = self::kindOf($model, $brief);
        $readings = $brief->machine->newest();
        $drives = self::drives($brief, $readings);
        $facts = MachineFacts::of($brief, $model, $kind, $readings);
        $machine = new Machine(
            title: $model?->title() ?? ($brief->machine->title ?? "Unknown {$kind->value}"),
            kind: $kind,
            facts: $facts,
            drives: self::told($drives->drives, $catalogue, $facts),
            ports: self::ports($brief, $model),
            devices: self::devices($model->devices ?? [], $readings),
            battery: self::battery(
                $model?->battery,
                $facts->get('battery.design_wh')->value,
                $facts->get('battery.health')->value,
            ),
            model: $model,
            modules: self::modules($readings),
            health: array_merge(
                ...array_map(static fn (Reading $reading): array => $reading->health, $readings),
                ...[[]],
            ),
            programs: array_merge(
                ...array_map(static fn (Reading $reading): array => $reading->programs, $readings),
                ...[[]],
            ),
            makerWays: $model === null ? new WaysIn() : $catalogue->maker($model->maker)->waysIn ?? new WaysIn(),
        );
        $notes = self::notes($brief, $catalogue, $drives, $readings);

        return [$machine, $notes];
    }

    private static function kindOf(?MachineModel $model, Brief $brief): Kind
    {
        $kind =
            $model->kind ??
            (Kind::tryFrom($brief->machine->kind ?? '') ??
                throw BriefFault::at(
                    'machine.kind',
                    'choose one of '.implode(', ', array_column(Kind::cases(), 'value')).'.',
                ));

        return $kind;
    }

    /**
     * @param  list<Reading>  $readings
     * @return list<string>
     */
    private static function notes(Brief $brief, Catalogue $catalogue, InventoryReading $drives, array $readings): array
    {
        return array_merge(
            KnownFacts::notUnderstood($brief->machine, $catalogue),
            $drives->notes,
            ...array_map(
                static fn (Reading $reading): array => $reading->tool === 'lsblk' ? [] : $reading->notes,
                $readings,
            ),
        );
    }

    /** @param  list<Reading>  $readings */
    private static function drives(Brief $brief, array $readings): InventoryReading
    {
        $text = $brief->machine->lsblk;
        foreach ($readings as $reading) {
            $text = $reading->lsblk ?? $text;
        }
        if ($text === null) {
            return new InventoryReading([], []);
        }
        try {
            return LsblkReader::read($text);
        } catch (UnreadableInventory $e) {
            throw BriefFault::at('machine.lsblk', $e->getMessage());
        }
    }

    /**
     * @param  list<Drive>  $drives
     * @return list<Drive> each partition marked encrypted, plain, or not to be told
     */
    private static function told(array $drives, Catalogue $catalogue, FactSheet $facts): array
    {
        $words = new VolumeWords($catalogue->encryptedFileSystems());
        $said = match ($facts->get(EncryptionQuestions::UNTOLD)->text()) {
            'yes' => true,
            'no' => false,
            default => null,
        };

        return array_map(static fn (Drive $drive): Drive => $drive->told($words, $said), $drives);
    }

    /**
     * Of several alike in one list the one that has no driver speaks for all: the package is for each of them. They
     * are counted where every one stands for a thing of its own: what is plugged in is listed by its functions too.
     *
     * @param  list<Device>  $devices
     * @return array<string, Device>
     */
    private static function once(array $devices): array
    {
        $once = [];
        foreach ($devices as $device) {
            $other = $once[$device->identifier] ?? null;
            $one = $other?->isDriven() === false ? $other->and($device) : $device->and($other);
            $once[$device->identifier] = $other === null || $device->bus() !== 'pci' ? $one
                : $one->counted($other->count + $device->count);
        }

        return $once;
    }

    /**
     * A reading of the PCI bus outranks what the catalogue says is on it; other buses only add to it, as they show
     * what is plugged in by chance.
     *
     * @param  list<Device>  $catalogued
     * @param  list<Reading>  $readings
     * @return list<Device>
     */
    private static function devices(array $catalogued, array $readings): array
    {
        $read = [];
        foreach ($readings as $reading) {
            foreach (self::once($reading->devices) as $device) {
                $read[$device->identifier] = $device->and($read[$device->identifier] ?? null);
            }
        }
        $seesPci = array_filter($read, static fn (Device $device): bool => $device->bus() === 'pci') !== [];
        $devices = [];
        foreach ($catalogued as $device) {
            if (! $seesPci || $device->bus() !== 'pci' || isset($read[$device->identifier])) {
                $devices[] = $device->and($read[$device->identifier] ?? null);
                unset($read[$device->identifier]);
            }
        }

        return [...$devices, ...array_values($read)];
    }

    /**
     * @param  list<Reading>  $readings
     * @return list<\Cobblestone\Machine\MemoryModule> from the reading that says most of them
     */
    private static function modules(array $readings): array
    {
        $modules = [];
        foreach ($readings as $reading) {
            if ($reading->modules !== [] && ($reading->tool === 'dmidecode' || $modules === [])) {
                $modules = $reading->modules;
            }
        }

        return $modules;
    }

    /** What was read or typed of the cell goes before what the catalogue holds of a new one. */
    private static function battery(?Battery $new, mixed $design, mixed $health): ?Battery
    {
        $wattHours = is_numeric($design) && $design > 0 ? Energy::wattHours((float) $design) : $new?->design;
        $left = is_numeric($health) && $health > 0 ? (float) $health : $new->health ?? 1.0;

        return $wattHours === null
            ? null
            : new Battery($wattHours, $new?->draw, $left, $new->usable ?? Battery::USABLE);
    }

    /** @return list<Port> */
    private static function ports(Brief $brief, ?MachineModel $model): array
    {
        if ($model !== null && $model->ports !== []) {
            return $model->ports;
        }
        $ports = [];
        foreach ($brief->machine->ports as $connector => $count) {
            for ($i = 1; $i <= min(16, $count); $i++) {
                $ports[] = new Port("{$connector}-{$i}", $connector, 'as found', 5000, $connector === 'usb-c');
            }
        }

        return $ports;
    }
}
