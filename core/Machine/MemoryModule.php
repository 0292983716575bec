<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Quantity\Bytes;

/** One memory module as a tool reported it; an empty slot has no size. */
final readonly class MemoryModule
{
    /**
     * @param  int|null  $ratedTransfers  million transfers a second it can do at most
     * @param  int|null  $setTransfers  million transfers a second it is set to now
     */
    public function __construct(
        public string $slot,
        public ?Bytes $size,
        public ?string $type = null,
        public ?string $maker = null,
        public ?string $part = null,
        public ?string $serial = null,
        public ?int $ratedTransfers = null,
        public ?int $setTransfers = null,
        public bool $soldered = false,
    ) {
    }

    public function isEmpty(): bool
    {
        return $this->size === null;
    }

    public function title(): string
    {
        return $this->size === null
            ? "{$this->slot}, empty"
            : trim("{$this->slot}, {$this->size->binary()} {$this->part}");
    }

    /**
     * @param  array<array-key, mixed>  $document
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $document): self
    {
        return self::read(Fields::of($document));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $bytes = $fields->optionalInt('bytes');

        return new self(
            $fields->string('slot'),
            $bytes === null ? null : Bytes::of($bytes),
            $fields->optionalString('type'),
            $fields->optionalString('maker'),
            $fields->optionalString('part'),
            $fields->optionalString('serial'),
            $fields->optionalInt('rated_mt_s'),
            $fields->optionalInt('set_mt_s'),
            $fields->optionalBool('soldered') ?? false,
        );
    }

    /** @return array<string, mixed> what is known of it */
    public function toArray(): array
    {
        return array_filter(
            [
                'slot' => $this->slot,
                'bytes' => $this->size?->count,
                'type' => $this->type,
                'maker' => $this->maker,
                'part' => $this->part,
                'serial' => $this->serial,
                'rated_mt_s' => $this->ratedTransfers,
                'set_mt_s' => $this->setTransfers,
                'soldered' => $this->soldered ?: null,
            ],
            static fn ($value): bool => $value !== null,
        );
    }
}
