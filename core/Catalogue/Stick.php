<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;

/** One removable drive of the bench's register. */
final readonly class Stick
{
    public string $id;

    public string $name;

    /** @param  array<string, mixed>  $entry a document that the sticks schema accepts */
    public function __construct(public array $entry)
    {
        $this->id = $entry['id'];
        $this->name = $entry['name'];
    }

    public function size(): Bytes
    {
        return Bytes::of($this->entry['bytes']);
    }

    public function serial(): ?string
    {
        return $this->entry['serial'] ?? null;
    }

    /** usb-a or usb-c */
    public function connector(): string
    {
        return $this->entry['connector'];
    }

    public function writeRate(): DataRate
    {
        return DataRate::megabytes($this->entry['write_mb_s']);
    }

    public function readRate(): DataRate
    {
        return DataRate::megabytes($this->entry['read_mb_s']);
    }

    /** good, watch or retired */
    public function health(): string
    {
        return $this->entry['health'];
    }

    public function contentsMayGo(): bool
    {
        return $this->entry['contents_may_go'];
    }

    public function contents(): ?string
    {
        return $this->entry['contents'] ?? null;
    }

    public function sectorBytes(): int
    {
        return $this->entry['sector_bytes'] ?? 512;
    }
}
