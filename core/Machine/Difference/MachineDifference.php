<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Difference;

use Cobblestone\Machine\Device;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Machine\Partition;

/**
 * Two readings of one machine: what went, what came, what changed. What one of them says nothing of is no difference
 * (rule T1).
 */
final readonly class MachineDifference
{
    /** What is told as a part of its own, and not as a fact once more; or what changes with every look. */
    private const NOT_TOLD = ['battery.percent', 'memory.usable_bytes', 'device.links', 'boot.started_by'];

    /**
     * @param  list<DifferenceLine>  $lines
     * @param  list<string>  $unseen  parts that only one of the two readings says anything of
     */
    private function __construct(public array $lines, public array $unseen)
    {
    }

    public static function between(Machine $before, Machine $after): self
    {
        $parts = [
            'device' => [self::devices($before, $after), self::devices($after, $before)],
            'drive' => [self::drives($before), self::drives($after)],
            'memory' => [self::modules($before), self::modules($after)],
            'setting' => [self::facts($before, true), self::facts($after, true)],
            'machine' => [self::facts($before, false), self::facts($after, false)],
            'program' => [$before->programs, $after->programs],
        ];
        $lines = $unseen = [];
        $names = self::names($after) + self::names($before) + self::nameless($after) + self::nameless($before);
        foreach ($parts as $part => [$was, $is]) {
            if ($was === [] || $is === []) {
                $unseen = $was === $is ? $unseen : [...$unseen, $part];

                continue;
            }
            // A fact that one tool did not give has not gone.
            $isOfFacts = $part === 'setting' || $part === 'machine';
            array_push($lines, ...self::compared(
                $part,
                $isOfFacts ? array_intersect_key($was, $is) : $was,
                $isOfFacts ? array_intersect_key($is, $was) : $is,
                static fn (string $name): string => match (true) {
                    ! $isOfFacts => $names[$name] ?? $name,
                    // Among settings it is plain whose version is meant, here it is not.
                    $part === 'machine' && str_starts_with($name, 'firmware.') => 'firmware '.
                        FactRegistry::spoken($name),
                    default => FactRegistry::spoken($name),
                },
            ));
        }

        return new self($lines, $unseen);
    }

    /**
     * @param  array<string, string>  $was  name => what it is
     * @param  array<string, string>  $is
     * @param  callable(string): string  $said
     * @return list<DifferenceLine>
     */
    private static function compared(string $part, array $was, array $is, callable $said): array
    {
        $lines = [];
        foreach ($was as $name => $value) {
            $spoken = $said((string) $name);
            if (! array_key_exists($name, $is)) {
                $lines[] = new DifferenceLine($part, DifferenceLine::WENT, $spoken, $value);
            } elseif (mb_strtolower($is[$name]) !== mb_strtolower($value)) {
                $lines[] = new DifferenceLine($part, DifferenceLine::CHANGED, $spoken, $value, $is[$name]);
            }
        }
        foreach (array_diff_key($is, $was) as $name => $value) {
            $lines[] = new DifferenceLine($part, DifferenceLine::CAME, $said((string) $name), '', $value);
        }

        return $lines;
    }

    /**
     * What the other list does not show of a whole bus, or of most of it, has neither come nor gone.
     *
     * @return array<string, string>
     */
    private static function devices(Machine $machine, Machine $other): array
    {
        $silent = CutList::silent($machine->devices, $other->devices);
        $known = array_map(static fn (Device $one): string => $one->identifier, $other->devices);
        $devices = [];
        foreach ($machine->devices as $device) {
            if (! in_array($device->bus(), $silent, true) || in_array($device->identifier, $known, true)) {
                $devices[$device->identifier] = self::driven($device);
            }
        }

        return $devices;
    }

    /**
     * Two tools name one device or drive otherwise: its identifier or serial decides, its name is for people.
     *
     * @return array<string, string> identifier => name
     */
    private static function names(Machine $machine): array
    {
        $names = [];
        foreach ($machine->devices as $device) {
            $names[$device->identifier] = "{$device->name} ({$device->identifier})";
        }
        foreach ($machine->drives as $drive) {
            // A drive that the tool gave no model keeps the name it had.
            $drive->model === null || $names[self::keyOf($drive)] = "{$drive->model}, ".self::said($drive);
        }

        return $names;
    }

    /** @return array<string, string> key => how a drive without a model is called */
    private static function nameless(Machine $machine): array
    {
        $names = [];
        foreach ($machine->drives as $drive) {
            $names[self::keyOf($drive)] = 'drive, '.self::said($drive);
        }

        return $names;
    }

    private static function driven(Device $device): string
    {
        $many = $device->count > 1 ? "{$device->count} of them, " : '';

        return $many.match (true) {
            $device->isDriven() === false => 'no driver',
            $device->driver !== null => "driver {$device->driver}",
            default => 'there',
        };
    }

    /** @return array<string, string> */
    private static function drives(Machine $machine): array
    {
        $drives = [];
        foreach ($machine->drives as $drive) {
            $drives[self::keyOf($drive)] = $drive->size->exact().': '.self::contents($drive);
        }

        return $drives;
    }

    private static function keyOf(Drive $drive): string
    {
        return $drive->identity() === null
            ? "drive {$drive->path} {$drive->model}"
            : 'serial '.mb_strtolower($drive->identity());
    }

    /** By its serial but for the end, which is read off the drive itself before it is erased (rule K2). */
    private static function said(Drive $drive): string
    {
        $serial = $drive->identity();

        return $serial === null ? $drive->path : 'serial '.mb_substr($serial, 0, max(0, mb_strlen($serial) - 4)).'…';
    }

    private static function contents(Drive $drive): string
    {
        if ($drive->partitions === []) {
            return $drive->isBlank() ? 'blank' : 'no partitions read';
        }

        return implode(', ', array_map(
            static fn (Partition $one): string => ($one->label ?? $one->fileSystem ?? 'no file system').' '.
                $one->size->binary().($one->encrypted ? ' encrypted' : ''),
            $drive->partitions,
        ));
    }

    /** @return array<string, string> */
    private static function modules(Machine $machine): array
    {
        $modules = [];
        foreach ($machine->modules as $module) {
            $modules["memory in {$module->slot}"] = self::module($module);
        }

        return $modules;
    }

    private static function module(MemoryModule $module): string
    {
        return $module->size === null ? 'empty' : implode(', ', array_filter([
            $module->size->binary(),
            $module->part,
            $module->serial === null ? null : "serial {$module->serial}",
            $module->setTransfers === null ? null : "{$module->setTransfers} MT/s",
        ]));
    }

    /** @return array<string, string> */
    private static function facts(Machine $machine, bool $settings): array
    {
        $known = array_filter(
            $machine->facts->all(),
            static fn (Fact $fact): bool => $fact->isKnown()
                && ! in_array($fact->name, self::NOT_TOLD, true)
                && $settings === self::isSetting($fact->name),
        );

        return array_map(static fn (Fact $fact): string => $fact->spoken(), $known);
    }

    private static function isSetting(string $fact): bool
    {
        return str_starts_with($fact, 'firmware.') && $fact !== 'firmware.version' && $fact !== 'firmware.date';
    }
}
