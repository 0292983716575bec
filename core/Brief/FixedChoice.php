<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Inventory\LsblkReader;
use Cobblestone\Inventory\Reading;
use Cobblestone\Inventory\UnreadableInventory;
use Cobblestone\Machine\Drive;

/**
 * A drive that was chosen by its path becomes the drive that had this path in the first reading: numbers change, it
 * does not (rule K2).
 */
final class FixedChoice
{
    /** The same block with identities in place of paths, as far as a reading tells them. */
    public static function of(MachineBlock $machine): MachineBlock
    {
        $facts = $machine->facts;
        foreach (['target', 'swap'] as $whose) {
            $path = $facts["{$whose}.path"] ?? null;
            $chosen = is_string($path) && ! isset($facts["{$whose}.drive"]) ? self::first($machine, $path) : null;
            $identity = $chosen?->identity();
            if ($chosen === null || $identity === null) {
                continue;
            }
            $bytes = $facts["{$whose}.bytes"] ?? $chosen->size->count;
            unset($facts["{$whose}.path"]);
            $facts = [...$facts, "{$whose}.drive" => $identity, "{$whose}.bytes" => $bytes];
        }

        return $machine->withFacts($facts);
    }

    private static function first(MachineBlock $machine, string $path): ?Drive
    {
        $texts = [
            $machine->lsblk,
            ...array_map(static fn (Reading $reading): ?string => $reading->lsblk, $machine->readings),
        ];
        foreach ($texts as $text) {
            try {
                $drives = $text === null ? [] : LsblkReader::read($text)->drives;
            } catch (UnreadableInventory) {
                $drives = [];
            }
            foreach ($drives as $drive) {
                if ($drive->path === $path) {
                    return $drive;
                }
            }
        }

        return null;
    }
}
