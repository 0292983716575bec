<?php

declare(strict_types=1);

namespace Cobblestone\Storage\Reading;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/**
 * The partition table of a device or image, as far as it can be trusted, and what is wrong with it (rules M2, M6, B).
 */
final readonly class TableReading
{
    /**
     * @param  string  $scheme  gpt, mbr or none
     * @param  int  $sector  bytes of a sector, 512 or 4096
     * @param  list<ReadPartition>  $partitions
     * @param  list<string>  $faults  damage, each a sentence
     * @param  list<string>  $notes  unusual, but no damage
     */
    public function __construct(
        public string $scheme,
        public int $sector,
        public array $partitions,
        public array $faults,
        public array $notes,
        public bool $hybrid = false,
        public bool $bootCode = false,
        public ?string $gptCopy = null,
        public ?string $diskGuid = null,
    ) {
    }

    /** The partition's bytes as a source of their own. */
    public function open(ReadPartition $partition, ByteSource $source): WindowSource
    {
        return new WindowSource($source, $partition->first * $this->sector, $partition->sectors * $this->sector);
    }

    /**
     * What firmware looks into: a protective entry and an extended one hold nothing of their own.
     *
     * @return list<ReadPartition>
     */
    public function volumes(): array
    {
        return array_values(
            array_filter(
                $this->partitions,
                static fn (ReadPartition $partition): bool => ! in_array(
                    $partition->type,
                    ['0xEE', '0x05', '0x0F', '0x85'],
                    true,
                ),
            ),
        );
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->oneOf('scheme', ['gpt', 'mbr', 'none']),
            $fields->int('sector_bytes'),
            $fields->each('partitions', ReadPartition::read(...)),
            $fields->strings('faults'),
            $fields->strings('notes'),
            $fields->bool('hybrid'),
            $fields->bool('boot_code'),
            $fields->optionalString('gpt_copy'),
            $fields->optionalString('disk_guid'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'scheme' => $this->scheme,
            'sector_bytes' => $this->sector,
            'hybrid' => $this->hybrid,
            'boot_code' => $this->bootCode,
            'gpt_copy' => $this->gptCopy,
            'disk_guid' => $this->diskGuid,
            'partitions' => array_map(
                static fn (ReadPartition $partition): array => $partition->toArray(),
                $this->partitions,
            ),
            'faults' => $this->faults,
            'notes' => $this->notes,
        ];
    }
}
