<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Machine\Drive;
use Cobblestone\Machine\DriveWords;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\InvalidQuantity;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Door;

/**
 * Which of the drives that were read is meant: by identity, never by number; what disagrees is a stop (rules I1, K2).
 */
final readonly class NamedDrive
{
    /** @param  list<Blocker>  $blockers */
    private function __construct(public ?Drive $drive, public array $blockers, public string $by = '')
    {
    }

    /**
     * @param  list<Drive>  $drives  as the newest reading has them
     * @param  string  $whose  prefix of the facts: "target" or "swap"
     */
    public static function among(array $drives, Machine $machine, string $whose): self
    {
        foreach (['drive', 'serial', 'path'] as $field) {
            $fact = $machine->fact("{$whose}.{$field}");
            if (! is_scalar($fact->value) || trim((string) $fact->value) === '') {
                continue;
            }
            $name = trim((string) $fact->value);
            $found = self::find($drives, $name);
            if ($found === null && $drives !== []) {
                return new self(null, [self::gone($drives, "\"{$name}\" ({$fact->origin})", $whose)]);
            }
            if ($found !== null) {
                return self::checked($found, $machine, $whose, $fact->origin);
            }
        }

        return new self(null, []);
    }

    /** @param  list<Drive>  $drives */
    private static function find(array $drives, string $name): ?Drive
    {
        foreach ($drives as $drive) {
            if ($drive->isNamed($name)) {
                return $drive;
            }
        }
        foreach ($drives as $drive) {
            if ($drive->path === $name) {
                return $drive;
            }
        }

        return null;
    }

    /**
     * The drive that was found, against the bytes that were typed and the drive that had this path when it was
     * chosen.
     */
    private static function checked(Drive $drive, Machine $machine, string $whose, string $by): self
    {
        $typed = $machine->fact("{$whose}.bytes");
        try {
            $bytes = is_int($typed->value) || is_string($typed->value) ? Bytes::parse($typed->value) : null;
        } catch (InvalidQuantity) {
            $bytes = null;
        }
        if ($bytes !== null && ! $drive->size->matchesLabel($bytes)) {
            return new self(null, [
                Blocker::stop(
                    "{$whose}-disagrees",
                    "Serial and size name two drives. Typed: {$bytes->exact()}. Read: ".
                        DriveWords::full($drive).
                        '.',
                    'K2',
                    Door::reading('lsblk', 'Read the drives again, and the label.'),
                    ["{$whose}.bytes = {$typed->spoken()}", DriveWords::full($drive)],
                ),
            ]);
        }

        return new self($drive, [], $by);
    }

    /** @param  list<Drive>  $drives */
    private static function gone(array $drives, string $name, string $whose): Blocker
    {
        $now = implode('; ', array_map(DriveWords::full(...), $drives));

        return Blocker::stop(
            "{$whose}-gone",
            "The drive that was chosen, {$name}, is not in the newest reading. It "
                ."shows: {$now}.",
            'K2',
            Door::reading('lsblk', 'Look which drives are in, and read them again.'),
            [$name, $now],
        );
    }
}
