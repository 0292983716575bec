<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** How a machine is restored from another computer over a cable (rule I10). */
final readonly class CableRecovery
{
    /**
     * @param  list<Move>  $sequence
     */
    public function __construct(
        public string $cable,
        public string $helperMinimum,
        public ?string $port = null,
        public ?string $seenFrom = null,
        public array $sequence = [],
        public ?string $portId = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('cable'),
            $fields->string('helper_minimum'),
            $fields->optionalString('port'),
            $fields->optionalString('seen_from'),
            $fields->each('sequence', Move::read(...)),
            $fields->optionalString('port_id'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
