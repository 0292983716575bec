<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

/** One line of the firmware's list: a loader on a partition named by its GUID, or a device and its default path. */
final readonly class BootEntry
{
    /**
     * @param  string  $device  id of the device it names
     * @param  string|null  $partition  GUID of the partition; an entry is dead once no partition has it
     * @param  string|null  $path  of the loader; null: the removable default path of the architecture
     */
    public function __construct(public string $id, public string $title, public string $device, public ?string $partition = null, public ?string $path = null)
    {
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self($data['id'], $data['title'], $data['device'], $data['partition'], $data['path']);
    }

    /** @return array<string, string|null> */
    public function toArray(): array
    {
        return get_object_vars($this);
    }
}
