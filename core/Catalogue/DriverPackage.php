<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Machine\Device;
use Cobblestone\Quantity\Bytes;

/** A driver package on the shelf (rule D2, as far as order and matching need it). */
final readonly class DriverPackage
{
    public string $id;

    public string $name;

    /** @param  array<string, mixed>  $entry a document that the drivers schema accepts */
    public function __construct(public array $entry)
    {
        $this->id = $entry['id'];
        $this->name = $entry['name'];
    }

    public function family(): string
    {
        return $this->entry['family'];
    }

    public function claims(Device $device): bool
    {
        return in_array($device->identifier, array_map(strtolower(...), $this->entry['claims']), true);
    }

    public function fits(string $system, ?string $model): bool
    {
        return in_array($system, $this->entry['systems'], true)
            && (! isset($this->entry['models']) || in_array($model, $this->entry['models'], true));
    }

    public function isLocked(): bool
    {
        return isset($this->entry['models']);
    }

    public function size(): Bytes
    {
        return Bytes::of($this->entry['bytes']);
    }

    /** none, after or at-once */
    public function restart(): string
    {
        return $this->entry['restart'];
    }

    /** @return list<string> packages that come first */
    public function needs(): array
    {
        return $this->entry['needs'] ?? [];
    }
}
