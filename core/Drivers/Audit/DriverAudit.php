<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Audit;

use Cobblestone\Machine\Device;

/** Several looks at the same devices, one after each package: what it cleared, what came, what is left (rule D7). */
final readonly class DriverAudit
{
    /** @param  non-empty-list<DeviceReading>  $readings  in the order in which they were taken */
    public function __construct(public array $readings)
    {
    }

    public function last(): DeviceReading
    {
        return $this->readings[count($this->readings) - 1];
    }

    /** "41 devices: 35 → 39 → 40"; where their number changed, each with its own. */
    public function coverage(): string
    {
        $counts = array_map(static fn (DeviceReading $of): int => $of->count(), $this->readings);
        $same = count(array_unique($counts)) === 1;
        $steps = array_map(
            static fn (DeviceReading $of): string => $of->driven().($same ? '' : " of {$of->count()}"),
            $this->readings,
        );
        $devices = $counts[0] === 1 ? 'device' : 'devices';

        return ($same ? "{$counts[0]} {$devices}: " : '').implode(' → ', $steps);
    }

    /**
     * What one look shows against the one before it. A package that clears more devices than its own made them
     * appear: a chipset's does.
     *
     * @return list<AuditStep>
     */
    public function steps(): array
    {
        $steps = [];
        for ($i = 1; $i < count($this->readings); $i++) {
            $steps[] = AuditStep::between($this->readings[$i - 1], $this->readings[$i]);
        }

        return $steps;
    }

    /** @return array<string, Device> what has no driver still */
    public function left(): array
    {
        return $this->last()->without();
    }
}
