<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Storage\DeviceLayout;
use Cobblestone\Storage\DevicePart;

/** The drive that a system goes onto: what was read of it, and what will stand on it. */
final readonly class TargetFound
{
    /**
     * @param  bool  $assumed  its size is the catalogue's, nobody has read it
     * @param  bool  $proven  it reports a serial of its own
     * @param  bool  $read  what is on it was read
     * @param  list<DevicePart>|null  $now  null while nobody has read it
     */
    public function __construct(
        public int $bytes,
        public int $sectorBytes,
        public bool $assumed,
        public bool $proven,
        public bool $read,
        public bool $sectorAssumed,
        public ?string $model,
        public ?array $now,
        public DeviceLayout $after,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->int('bytes'),
            $fields->int('sector_bytes'),
            $fields->bool('assumed'),
            $fields->optionalBool('proven') ?? true,
            $fields->optionalBool('read') ?? true,
            $fields->optionalBool('sector_assumed') ?? false,
            $fields->optionalString('model'),
            $fields->has('now') ? $fields->each('now', DevicePart::read(...)) : null,
            DeviceLayout::read($fields->block('after')),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return Written::of($this, ['assumed', 'proven', 'read', 'sector_assumed', 'model', 'now']);
    }
}
