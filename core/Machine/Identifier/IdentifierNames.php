<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Identifier;

/**
 * Names of makers and devices out of a list in the form of `pci.ids` and `usb.ids`: a maker at the start of a line,
 * its devices behind one tabulator, who fitted them behind two (rule D1).
 */
final class IdentifierNames
{
    /** @param  array<string, string>  $names  normal form of a maker, a device, a fitted device => name */
    private function __construct(private readonly array $names)
    {
    }

    /** A list of one bus; what is no entry of makers (classes and the like) is left aside. */
    public static function read(Bus $bus, string $text): self
    {
        $names = [];
        $vendor = $device = null;
        foreach (preg_split('/\r\n|\n|\r/', $text) ?: [] as $line) {
            if (preg_match('/^([0-9a-f]{4})  (.+)$/i', $line, $part) === 1) {
                [$vendor, $device] = [strtolower($part[1]), null];
                $names[(new HardwareIdentifier($bus, $vendor))->text()] = trim($part[2]);
            } elseif ($vendor !== null && preg_match('/^\t([0-9a-f]{4})  (.+)$/i', $line, $part) === 1) {
                $device = strtolower($part[1]);
                $names[(new HardwareIdentifier($bus, $vendor, $device))->text()] = trim($part[2]);
            } elseif (
                $device !== null &&
                preg_match('/^\t\t([0-9a-f]{4}) ([0-9a-f]{4})  (.+)$/i', $line, $part) === 1
            ) {
                $subsystem = strtolower("{$part[1]}:{$part[2]}");
                $names[(new HardwareIdentifier($bus, $vendor, $device, $subsystem))->text()] = trim($part[3]);
            } elseif ($line !== '' && $line[0] !== '#' && $line[0] !== "\t") {
                $vendor = $device = null;
            }
        }

        return new self($names);
    }

    public function and(self $other): self
    {
        return new self([...$this->names, ...$other->names]);
    }

    /** What the list calls it, as narrowly as it knows it; the maker alone where it knows no more; null for none. */
    public function of(HardwareIdentifier $identifier): ?string
    {
        if ($identifier->vendor === null) {
            return null;
        }
        $maker = $this->names[(new HardwareIdentifier($identifier->bus, $identifier->vendor))->text()] ?? null;
        $whole = new HardwareIdentifier($identifier->bus, $identifier->vendor, $identifier->device);
        $fitted = new HardwareIdentifier(
            $identifier->bus,
            $identifier->vendor,
            $identifier->device,
            $identifier->subsystem,
        );
        $name = $this->names[$fitted->text()] ?? ($this->names[$whole->text()] ?? null);

        return match (true) {
            $name === null => $maker,
            $maker === null || str_starts_with($name, $maker) => $name,
            default => "{$maker} {$name}",
        };
    }
}
