<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Inventory\InventoryReading;
use Cobblestone\Inventory\LsblkReader;
use Cobblestone\Inventory\UnreadableInventory;
use Cobblestone\Machine\Battery;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;
use Cobblestone\Machine\Source;

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
        $model = isset($brief->machine['model']) ? $catalogue->machine($brief->machine['model']) : [];
        $kind = Kind::tryFrom($model['kind'] ?? $brief->machine['kind'] ?? '') ?? throw BriefFault::at('machine.kind', 'choose one of '.implode(', ', array_column(Kind::cases(), 'value')).'.');
        $reading = self::reading($brief);
        $machine = new Machine(
            title: $model === [] ? ($brief->machine['title'] ?? 'Unknown '.$kind->value) : "{$model['maker']} {$model['name']}",
            kind: $kind,
            facts: self::facts($brief, $model, $kind),
            drives: $reading->drives,
            ports: self::ports($brief, $model),
            devices: array_map(Device::fromArray(...), $model['devices'] ?? []),
            battery: isset($model['battery']) ? Battery::fromArray($model['battery']) : null,
            model: $model,
        );

        return [$machine, $reading->notes];
    }

    private static function reading(Brief $brief): InventoryReading
    {
        if (! isset($brief->machine['lsblk'])) {
            return new InventoryReading([], []);
        }
        try {
            return LsblkReader::read((string) $brief->machine['lsblk']);
        } catch (UnreadableInventory $e) {
            throw BriefFault::at('machine.lsblk', $e->getMessage());
        }
    }

    /** @param  array<string, mixed>  $model */
    private static function facts(Brief $brief, array $model, Kind $kind): FactSheet
    {
        $sheet = FactSheet::empty();
        foreach (KindDefaults::facts($kind) as $name => $value) {
            $sheet = $sheet->with(Fact::of($name, $value, Source::KindDefault, "usual for a {$kind->value}"));
        }
        foreach (self::modelFacts($model) as $name => $value) {
            $sheet = $sheet->with(Fact::of($name, $value, Source::Catalogue, "catalogue, {$model['name']}, as of {$model['as_of']}"));
        }
        foreach ($brief->machine['facts'] ?? [] as $name => $value) {
            $sheet = $sheet->with(Fact::of((string) $name, self::plain((string) $name, $value), Source::Person, $brief->machine['facts_from'] ?? 'entered at the bench', $brief->readAt));
        }

        return $sheet;
    }

    /**
     * @param  array<string, mixed>  $model
     * @return array<string, bool|int|float|string>
     */
    private static function modelFacts(array $model): array
    {
        $facts = [];
        foreach (['architecture', 'memory_bytes', 'cores', 'drive_bytes'] as $key) {
            if (isset($model[$key])) {
                $facts[$key] = $model[$key];
            }
        }
        if (isset($model['firmware']['kind'])) {
            $facts['firmware.kind'] = $model['firmware']['kind'];
        }
        foreach ($model['firmware']['settings'] ?? [] as $setting) {
            $facts["firmware.{$setting['id']}"] = $setting['default'];
        }

        return $facts;
    }

    /** YAML reads a bare on or off as text or truth depending on its writer; settings are words. */
    private static function plain(string $name, mixed $value): bool|int|float|string
    {
        if (is_bool($value) && str_starts_with($name, 'firmware.')) {
            return $value ? 'on' : 'off';
        }
        if (! is_scalar($value)) {
            throw BriefFault::at("machine.facts.{$name}", 'a single value is wanted.');
        }

        return $value;
    }

    /**
     * @param  array<string, mixed>  $model
     * @return list<Port>
     */
    private static function ports(Brief $brief, array $model): array
    {
        if (isset($model['ports'])) {
            return array_map(Port::fromArray(...), $model['ports']);
        }
        $ports = [];
        foreach ($brief->machine['ports'] ?? [] as $connector => $count) {
            for ($i = 1; $i <= min(16, (int) $count); $i++) {
                $ports[] = new Port("{$connector}-{$i}", (string) $connector, 'as found', 5000, $connector === 'usb-c');
            }
        }

        return $ports;
    }
}
