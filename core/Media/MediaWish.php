<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;

/** What is wanted of a stick: an image for a machine, and the drivers that travel with it. */
final readonly class MediaWish
{
    /**
     * @param  list<Stick>  $sticks  of the register
     * @param  Bytes  $drivers  room that the driver packages take
     * @param  int  $driverFiles  packages that travel
     * @param  HostProfile|null  $host  kind of computer that makes it; null: this bench
     * @param  string|null  $system  name of the system in the image
     */
    public function __construct(
        public Machine $machine,
        public Image $image,
        public array $sticks,
        public Policy $policy,
        public Bytes $drivers,
        public int $driverFiles,
        public ?HostProfile $host = null,
        public ?string $system = null,
    ) {
    }

    /** @param  list<Stick>  $sticks */
    public static function without(Machine $machine, Image $image, array $sticks, Policy $policy): self
    {
        return new self($machine, $image, $sticks, $policy, Bytes::of(0), 0);
    }

    public function withoutDrivers(): self
    {
        return new self(
            $this->machine, $this->image, $this->sticks, $this->policy, Bytes::of(0), 0, $this->host, $this->system,
        );
    }

    /** The same, made on another computer. */
    public function on(?HostProfile $host, ?string $system): self
    {
        return new self(
            $this->machine, $this->image, $this->sticks, $this->policy, $this->drivers, $this->driverFiles, $host,
            $system,
        );
    }

    public function hand(): SticksAtHand
    {
        $connectors = array_map(static fn (Port $port): string => $port->connector, $this->machine->ports);

        return new SticksAtHand(
            $this->sticks,
            $this->policy->school('stick'),
            array_values(array_unique($connectors)),
        );
    }
}
