<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** How a stand-in for a stick misbehaves, so that the bench can be tried without breaking one. */
final readonly class StickFaults
{
    /**
     * @param  list<int>  $badBlocks
     */
    public function __construct(
        public ?int $trueBytes = null,
        public array $badBlocks = [],
        public bool $writeProtected = false,
        public bool $firstFormatFails = false,
        public ?int $diesAfterBytes = null,
        public bool $paced = false,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->optionalInt('true_bytes'),
            self::blocks($fields),
            $fields->optionalBool('write_protected') ?? false,
            $fields->optionalBool('first_format_fails') ?? false,
            $fields->optionalInt('dies_after_bytes'),
            $fields->optionalBool('paced') ?? false,
        );
    }

    /** @return list<int> */
    private static function blocks(Fields $fields): array
    {
        return array_map(intval(...), $fields->numbers('bad_blocks'));
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
