<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Inventory\LsblkReader;
use Cobblestone\Inventory\UnreadableInventory;
use Cobblestone\Machine\Drive;

/** A drive that was chosen by its path becomes the drive that had this path in the first reading: numbers change, it does not (rule K2). */
final class FixedChoice
{
    /**
     * @param  array<string, mixed>  $machine  the brief's machine block
     * @return array<string, mixed> the same with identities in place of paths, as far as a reading tells them
     */
    public static function of(array $machine): array
    {
        foreach (['target', 'swap'] as $whose) {
            $path = $machine['facts']["{$whose}.path"] ?? null;
            $chosen = is_string($path) && ! isset($machine['facts']["{$whose}.drive"]) ? self::first($machine, $path) : null;
            $identity = $chosen?->identity();
            if ($chosen === null || $identity === null) {
                continue;
            }
            $facts = $machine['facts'];
            unset($facts["{$whose}.path"]);
            $machine['facts'] = [...$facts, "{$whose}.drive" => $identity, "{$whose}.bytes" => $facts["{$whose}.bytes"] ?? $chosen->size->count];
        }

        return $machine;
    }

    /**
     * @param  array<string, mixed>  $machine
     */
    private static function first(array $machine, string $path): ?Drive
    {
        $texts = [$machine['lsblk'] ?? null, ...array_column($machine['readings'] ?? [], 'lsblk')];
        foreach ($texts as $text) {
            try {
                $drives = is_string($text) ? LsblkReader::read($text)->drives : [];
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
