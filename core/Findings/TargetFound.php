<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** The drive that a system goes onto: what was read of it, and what will stand on it. */
final readonly class TargetFound
{
    /**
     * @param  bool  $assumed  its size is the catalogue's, nobody has read it
     * @param  bool  $proven  it reports a serial of its own
     * @param  bool  $read  what is on it was read
     * @param  list<PartFound>|null  $now  null while nobody has read it
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
        public LayoutFound $after,
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
            $fields->has('now') ? $fields->each('now', PartFound::read(...)) : null,
            LayoutFound::read($fields->block('after')),
        );
    }
}
