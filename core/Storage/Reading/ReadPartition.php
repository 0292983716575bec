<?php

declare(strict_types=1);

namespace Cobblestone\Storage\Reading;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Storage\PartitionType;

/** A partition as a table states it; nothing about it has been believed yet. */
final readonly class ReadPartition
{
    /**
     * @param  int  $number  place in the table, from 1
     * @param  int  $first  first sector
     * @param  int  $sectors  how many
     * @param  string  $type  GUID in upper case, or "0x0C"
     */
    public function __construct(
        public int $number,
        public int $first,
        public int $sectors,
        public string $type,
        public string $name = '',
        public ?string $guid = null,
        public bool $active = false,
    ) {
    }

    public function last(): int
    {
        return $this->first + $this->sectors - 1;
    }

    /** What the type says in words; the type itself where it is none of ours. */
    public function typeTitle(): string
    {
        return PartitionType::fromGuid($this->type)?->title() ??
            match ($this->type) {
                '0xEF' => 'EFI system',
                '0x0C', '0x0B', '0x07' => 'data',
                '0x83' => 'Linux filesystem',
                '0xEE' => 'protective',
                '0x05', '0x0F' => 'extended',
                default => "type {$this->type}",
            };
    }

    public function isEfiSystem(): bool
    {
        return $this->type === '0xEF' || $this->type === PartitionType::EfiSystem->guid();
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->int('number'),
            $fields->int('first_sector'),
            $fields->int('sectors'),
            $fields->string('type'),
            $fields->string('name'),
            $fields->optionalString('guid'),
            $fields->bool('active'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'number' => $this->number,
            'first_sector' => $this->first,
            'sectors' => $this->sectors,
            'type' => $this->type,
            'type_title' => $this->typeTitle(),
            'name' => $this->name,
            'guid' => $this->guid,
            'active' => $this->active,
        ];
    }
}
