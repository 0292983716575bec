<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\InstallPhase;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Reason;

/**
 * How long an install takes on this machine: the bytes of the image through the slowest of stick, socket, unpacking and
 * drive, and the restarts (rules I5, M9). A phase whose pace nobody has described keeps the catalogue's minutes.
 */
final readonly class InstallPace
{
    /** What a socket passes on in practice, in MB/s, by the megabits it is sold with (rule M9, defaults). */
    private const SOCKETS = [480 => 35, 5000 => 400, 10000 => 900];

    /** @param  array<string, DataRate>  $parts  name => rate of every part the bytes go through */
    private function __construct(private ?Bytes $payload, private array $parts, private Policy $policy)
    {
    }

    public static function of(Machine $machine, Image $image, ?Stick $stick, ?Drive $drive, Policy $policy): self
    {
        $port = self::port($machine, $stick?->connector);

        return new self(
            $image->files === null ? $image->expanded() ?? $image->size() : Bytes::of($image->files->bytes),
            array_filter([
                'the stick' => $stick?->readRate(),
                'the machine\'s socket' => $port === null ? null : self::socket($port),
                ...self::drive($drive, $policy),
            ]),
            $policy,
        );
    }

    public function estimate(InstallPhase $phase): Estimate
    {
        $time = $this->time($phase);

        return $time === null ? $phase->estimate() : Estimate::around($time);
    }

    /** What sets the pace, or whose minutes they are where nobody has described what does. */
    public function because(InstallPhase $phase, string $dated): Reason
    {
        $time = $this->time($phase);
        if ($time === null || $this->payload === null) {
            return self::ofCatalogue($phase->estimate(), 'what sets the pace', $dated);
        }
        [$name, $rate] = $this->slowest($phase);
        $restart = $phase->restart ? ', and a restart of about '.$this->restart()->label() : '';

        return new Reason(
            "{$this->payload->decimal()} at {$rate->label()}: {$name} sets the pace{$restart}.",
            'I5',
            'computed for this machine',
        );
    }

    /** @param  string  $open  what nobody has described, so that nothing is worked out */
    public static function ofCatalogue(Estimate $minutes, string $open, string $dated): Reason
    {
        return new Reason(
            "{$minutes->low->label()} to {$minutes->high->label()} by the catalogue; {$open}, it does not say.",
            'I5',
            $dated,
        );
    }

    private function time(InstallPhase $phase): ?Duration
    {
        if ($phase->unpacksMbS === null || $this->payload === null) {
            return null;
        }
        $time = $this->slowest($phase)[1]->timeFor($this->payload);

        return $phase->restart ? $time->plus($this->restart()) : $time;
    }

    private function restart(): Duration
    {
        return Duration::seconds((int) $this->policy->figure('restart_seconds'));
    }

    /** @return array{string, DataRate} */
    private function slowest(InstallPhase $phase): array
    {
        $slowest = ['unpacking', DataRate::megabytes((float) $phase->unpacksMbS)];
        foreach ($this->parts as $name => $rate) {
            if ($rate->isSlowerThan($slowest[1])) {
                $slowest = [$name, $rate];
            }
        }

        return $slowest;
    }

    /** The quickest socket that takes the stick; null where nobody knows the sockets. */
    private static function port(Machine $machine, ?string $connector): ?Port
    {
        $best = null;
        foreach ($machine->ports as $port) {
            $fits = $connector === null || $port->connector === $connector;
            if ($fits && ($best === null || $port->megabitsPerSecond > $best->megabitsPerSecond)) {
                $best = $port;
            }
        }

        return $best;
    }

    private static function socket(Port $port): DataRate
    {
        $rate = min(self::SOCKETS);
        foreach (self::SOCKETS as $megabits => $megabytes) {
            $rate = $port->megabitsPerSecond >= $megabits ? $megabytes : $rate;
        }

        return DataRate::megabytes($rate);
    }

    /** @return array<string, DataRate> what the drive takes, by how it is attached; nothing where nobody read it */
    private static function drive(?Drive $drive, Policy $policy): array
    {
        $figure = match ($drive?->transport) {
            'nvme' => 'drive_nvme_mb_s',
            'sata', 'ata' => 'drive_sata_mb_s',
            'mmc' => 'drive_mmc_mb_s',
            default => null,
        };

        return $figure === null ? [] : ['the machine\'s drive' => DataRate::megabytes($policy->figure($figure))];
    }
}
