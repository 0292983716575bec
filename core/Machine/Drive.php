<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Document\Copy;
use Cobblestone\Quantity\Bytes;

/** A drive as read from a running system; its path is a hint, its serial and exact size are its identity (rule M10). */
final readonly class Drive
{
    /** @param  list<Partition>  $partitions */
    public function __construct(
        public string $path,
        public Bytes $size,
        public ?string $serial = null,
        public ?string $model = null,
        public int $logicalSector = 512,
        public ?int $physicalSector = null,
        public ?string $transport = null,
        public bool $removable = false,
        public ?string $table = null,
        public array $partitions = [],
        public bool $serialRepeated = false,
        public bool $detailed = true,
        public ?string $wholeFileSystem = null,
        public ?string $wwn = null,
        public bool $sectorRead = true,
    ) {
    }

    /** Same serial and exactly the same byte count; a missing or repeated serial proves nothing (rule M10). */
    public function isSameDeviceAs(self $other): bool
    {
        return $this->hasProof() &&
            $other->hasProof() &&
            $this->serial === $other->serial &&
            $this->size->count === $other->size->count;
    }

    /** Whether the serial can name this drive and no other. */
    public function hasProof(): bool
    {
        return $this->serial !== null && ! $this->serialRepeated;
    }

    /** The same, its partitions marked as those words tell of their file systems (rules A7, U3). */
    public function told(VolumeWords $words, ?bool $said): self
    {
        $marked = array_map(
            static fn (Partition $partition): Partition => $partition->told($words, $said),
            $this->partitions,
        );

        return Copy::of($this, get_object_vars($this), ['partitions' => $marked]);
    }

    /** @return list<Partition> whose file system nobody knows to be plain or encrypted */
    public function untold(): array
    {
        return array_values(array_filter($this->partitions, static fn (Partition $one): bool => $one->untold));
    }

    /** What names it and no other: its serial, else its WWN; null where it reports neither of its own (rule K2). */
    public function identity(): ?string
    {
        return $this->hasProof() ? $this->serial : $this->wwn;
    }

    /** Whether that is its serial or its WWN; a serial that another drive reports too is nobody's. */
    public function isNamed(string $name): bool
    {
        return ($this->hasProof() && strcasecmp((string) $this->serial, $name) === 0) ||
            ($this->wwn !== null && strcasecmp($this->wwn, $name) === 0);
    }

    /** Internal: neither removable nor attached from outside. */
    public function isInternal(): bool
    {
        return ! $this->removable && ! in_array($this->transport, ['usb', 'ieee1394'], true);
    }

    /** No table, no partition, no file system, from a reading that was able to show them. */
    public function isBlank(): bool
    {
        return $this->detailed &&
            $this->table === null &&
            $this->partitions === [] &&
            $this->wholeFileSystem === null;
    }

    /** Bytes in use where every partition reports it; null where one does not. */
    public function used(): ?Bytes
    {
        $sum = 0;
        foreach ($this->partitions as $partition) {
            if ($partition->used === null) {
                return null;
            }
            $sum += $partition->used->count;
        }

        return $this->partitions === [] ? null : Bytes::of($sum);
    }

    /** "Saltmarsh NV-3 · 256.1 GB · serial ending in the four on its label". */
    public function title(): string
    {
        return ($this->model ?? 'Drive').' · '.$this->size->decimal();
    }

    /** The same drive, of which another one reports the serial too. */
    public function withRepeatedSerial(): self
    {
        return Copy::of($this, get_object_vars($this), ['serialRepeated' => true]);
    }

    public function sectors(): int
    {
        return intdiv($this->size->count, $this->logicalSector);
    }
}
