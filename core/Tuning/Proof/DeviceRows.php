<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Proof;

use Cobblestone\Machine\Device;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Tuning\AcceptanceRows;

/** A row for every device by its identifier: whether it is there, and what drives it (rules T1, D7). */
final class DeviceRows
{
    public const DRIVEN = 'driven';

    public const BARE = 'bare';

    public const MISSING = 'missing';

    /** What to do where it is not seen at all. */
    private const LOST = 'Not there: was the whole list read, is it switched on in the setup, is it seated?';

    private const WORDS = [
        self::DRIVEN => 'there, with a driver',
        self::BARE => 'there, without a driver',
        self::MISSING => 'not there',
    ];

    private const LEFT = [
        self::MISSING => 'not there',
        self::BARE => 'still there',
        self::DRIVEN => 'still there, with a driver',
    ];

    /** @return list<Evidence> */
    public static function of(Promises $of): array
    {
        $rows = [];
        foreach ($of->machine->devices as $device) {
            if (self::belongs($device, $of)) {
                $rows[] = in_array($device->identifier, $of->gone, true)
                    ? self::left($device, $of)
                    : self::stays($device->identifier, $device->name, self::isBare($device, $of), $of);
                if ($device->count > 1 && ! in_array($device->identifier, $of->gone, true)) {
                    $rows[] = self::alike($device, $of);
                }
            }
        }
        foreach ($of->come as $identifier => $name) {
            $rows[] = self::stays($identifier, $name, false, $of);
            if ($of->lanes !== null) {
                $rows[] = self::link($identifier, $name, $of->lanes, $of);
            }
        }

        return $rows;
    }

    /** What is on a bus inside, or what the model has: the rest is plugged in by chance. */
    private static function belongs(Device $device, Promises $of): bool
    {
        $catalogued = array_map(
            static fn (Device $one): string => $one->identifier,
            $of->machine->model->devices ?? [],
        );

        return ! isset($of->come[$device->identifier])
            && ($device->bus() === 'pci' || in_array($device->identifier, $catalogued, true));
    }

    private static function isBare(Device $device, Promises $of): bool
    {
        return in_array($device->identifier, $of->bare, true) ||
            ($device->isDriven() === false && ! isset($of->versions[$device->identifier]));
    }

    private static function stays(string $identifier, string $name, bool $bare, Promises $of): Evidence
    {
        $version = $of->versions[$identifier] ?? null;
        $id = RowId::device($identifier);
        $read = $of->reads->way('devices', true);

        return $version === null ? AcceptanceRows::choice(
            $id,
            "{$name}, {$identifier}",
            self::WORDS,
            $bare ? self::DRIVEN.'|'.self::BARE : self::DRIVEN,
            self::LOST.' Without a driver: its package stands on the Drivers page; where none is known, note the '
                .'identifier.',
        )->readBy($read) : AcceptanceRows::row(
            $id,
            "{$name}, {$identifier}: version of its driver",
            EvidenceKind::Text,
            new Expected($version),
            self::LOST.' Another version: install its package once more; an update that brought a newer one is '
                .'accepted with that reason.',
        )->readBy($read);
    }

    /** One of several alike may be gone while its identifier is still there. */
    private static function alike(Device $device, Promises $of): Evidence
    {
        return AcceptanceRows::row(
            RowId::alike($device->identifier),
            "How many of {$device->name}, {$device->identifier}",
            EvidenceKind::Count,
            new Expected((string) $device->count, source: Expected::READING, atLeast: true),
            'One of them is not seen. '.self::LOST,
        )->readBy($of->reads->way('devices', true));
    }

    private static function left(Device $device, Promises $of): Evidence
    {
        return AcceptanceRows::choice(
            RowId::device($device->identifier),
            "{$device->name}, {$device->identifier}, which was to leave",
            self::LEFT,
            self::MISSING,
            'The card that was to go is still in the machine.',
        )->readBy($of->reads->way('devices', true));
    }

    private static function link(string $identifier, string $name, int $lanes, Promises $of): Evidence
    {
        return AcceptanceRows::row(
            RowId::link($identifier),
            "Lanes of the link of {$name}",
            EvidenceKind::Count,
            new Expected((string) $lanes, atLeast: true),
            'Reseat the card: half the lanes is a card that is not all the way in, or the wrong slot.',
        )->readBy($of->reads->way('devices', true));
    }
}
