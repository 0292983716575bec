<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What will stand where on a drive or stick. */
final readonly class LayoutFound
{
    /**
     * @param  string|null  $label  null where it is written raw
     * @param  list<PartFound>  $partitions
     */
    public function __construct(
        public string $scheme,
        public int $sectorBytes,
        public ?string $label,
        public array $partitions,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('scheme'),
            $fields->int('sector_bytes'),
            $fields->optionalString('label'),
            $fields->each('partitions', PartFound::read(...)),
        );
    }
}
