<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Document\Copy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\PartitionType;

/** One partition as a tool reported it; what the tool did not say is null. */
final readonly class Partition
{
    /** @param  list<string>  $mountpoints */
    public function __construct(
        public string $name,
        public Bytes $size,
        public ?int $startSector = null,
        public ?string $fileSystem = null,
        public ?string $label = null,
        public ?string $type = null,
        public ?Bytes $used = null,
        public array $mountpoints = [],
        public bool $encrypted = false,
    ) {
    }

    /** What a person would call it. */
    public function title(): string
    {
        return $this->label ??
            match (true) {
                $this->encrypted => 'encrypted volume',
                PartitionType::fromGuid((string) $this->type) !== null => PartitionType::fromGuid(
                    (string) $this->type,
                )->title(),
                default => $this->fileSystem ?? 'unnamed',
            };
    }

    /** "Old system (238.3 GiB)" */
    public function sized(): string
    {
        return "{$this->title()} ({$this->size->binary()})";
    }

    public function asEncrypted(): self
    {
        return Copy::of($this, get_object_vars($this), ['encrypted' => true]);
    }
}
