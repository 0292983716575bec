<?php

declare(strict_types=1);

namespace App\View;

use App\Models\ProvingStart;
use Cobblestone\Boot\Emulated\DriveBus;
use Cobblestone\Quantity\Bytes;

/** Memory and drive of an emulated machine, and what came to stand on that drive. */
final readonly class ProvingParts
{
    public function __construct(private ProvingStart $start)
    {
    }

    /** Memory and drive in place of the machine's own. */
    public function words(): string
    {
        $start = $this->start;
        $memory = "{$start->memory_mib} MiB of memory".($start->machine_memory === null
            ? '' : ' for the '.Bytes::of($start->machine_memory)->binary().' of this machine');
        if ($start->drive_bytes === null) {
            return "{$memory}, no drive.";
        }
        $bus = DriveBus::from((string) $start->drive_bus)->title();
        $drive = "{$bus} drive of ".Bytes::of($start->drive_bytes)->exact();

        return $start->drive_of === null
            ? "{$memory}, a blank {$drive}."
            : "{$memory}, the {$drive} as it was left, and no stick.";
    }

    /** The start whose drive it goes on with; null where it began with a blank one or none. */
    public function before(): ?int
    {
        return $this->start->drive_of;
    }

    /** @return list<string> what stands on its drive now, a line each; empty where it has none or it is not over */
    public function onDrive(): array
    {
        $found = $this->start->drive_found;
        if ($found === null) {
            return [];
        }
        $lines = $found['parts'] === [] ? ['Nothing was written to it.'] : [strtoupper($found['scheme']).' table'];
        foreach ($found['parts'] as $part) {
            $lines[] = implode(', ', array_filter([
                (string) $part['type'], Bytes::of((int) $part['bytes'])->binary(), (string) $part['file_system'],
                implode(', ', (array) $part['loaders']),
            ]));
        }

        return $lines;
    }

    public function nextWord(): string
    {
        return 'Next power-on: '.($this->start->drive_of === null ? 'stick out, from this drive' : 'once more');
    }

    /** Whether the next power-on, from that drive, can be tried. */
    public function mayGoOn(): bool
    {
        return $this->start->state === 'done' && $this->start->hasSystem() && is_file($this->start->drive());
    }
}
