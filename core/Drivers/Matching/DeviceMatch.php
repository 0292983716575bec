<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Matching;

use Cobblestone\Machine\Device;

/** The decision about one device: its package, every other that claims it, and whether the system serves it (D3). */
final readonly class DeviceMatch
{
    /**
     * @param  bool  $brings  whether the system has a driver for this device by itself
     * @param  string|null  $identifier  by which the package claims it, in its normal form
     * @param  list<Refusal>  $refused
     */
    public function __construct(
        public Device $device,
        public bool $brings,
        public ?PackageOffer $package,
        public ?string $identifier,
        public array $refused,
    ) {
    }

    /** @param  list<Refusal>  $refused */
    public function with(array $refused): self
    {
        return new self($this->device, $this->brings, $this->package, $this->identifier, $refused);
    }

    /** Whether it stays without a driver. */
    public function isMissing(): bool
    {
        return $this->package === null && ! $this->brings;
    }
}
