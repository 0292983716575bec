<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Document\Copy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\PartitionType;

/** One partition as a tool reported it; what the tool did not say is null. */
final readonly class Partition
{
    /**
     * @param  list<string>  $mountpoints
     * @param  bool  $untold  whether its file system is a word that tells nobody whether it is encrypted (rule U3)
     */
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
        public bool $untold = false,
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

    /** The same as these words tell of its file system; `$said` is what a person says of a word that is not known. */
    public function told(VolumeWords $words, ?bool $said): self
    {
        $tells = $this->fileSystem === null ? $this->encrypted : $words->encrypted($this->fileSystem) ?? $said;

        return Copy::of($this, get_object_vars($this), [
            'encrypted' => $this->encrypted || $tells === true,
            'untold' => ! $this->encrypted && $tells === null,
        ]);
    }
}
