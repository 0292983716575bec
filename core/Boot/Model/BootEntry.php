<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** One line of the firmware's list: a loader on a partition named by its GUID, or a device and its default path. */
final readonly class BootEntry
{
    /**
     * @param  string  $device  id of the device it names
     * @param  string|null  $partition  GUID of the partition; an entry is dead once no partition has it
     * @param  string|null  $path  of the loader; null: the removable default path of the architecture
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $device,
        public ?string $partition = null,
        public ?string $path = null,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $data  what toArray() gave
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $data): self
    {
        return self::read(Fields::of($data));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('id'),
            $fields->string('title'),
            $fields->string('device'),
            $fields->optionalString('partition'),
            $fields->optionalString('path'),
        );
    }

    /** @return array<string, string|null> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'title' => $this->title,
            'device' => $this->device,
            'partition' => $this->partition,
            'path' => $this->path,
        ];
    }
}
