<?php

declare(strict_types=1);

namespace Cobblestone\Media;

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
     */
    public function __construct(
        public Machine $machine,
        public Image $image,
        public array $sticks,
        public Policy $policy,
        public Bytes $drivers,
        public int $driverFiles,
    ) {
    }

    /** @param  list<Stick>  $sticks */
    public static function without(Machine $machine, Image $image, array $sticks, Policy $policy): self
    {
        return new self($machine, $image, $sticks, $policy, Bytes::of(0), 0);
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
