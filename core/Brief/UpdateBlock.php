<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** Why the firmware is updated, and to what (rule F5). */
final readonly class UpdateBlock
{
    /**
     * @param  string|null  $processor  family of the processor that comes in afterwards
     * @param  string|null  $onStick  file that lies on a stick already
     */
    public function __construct(
        public string $reason = '',
        public ?string $to = null,
        public ?string $gives = null,
        public ?string $processor = null,
        public ?string $onStick = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->optionalString('reason') ?? '',
            $fields->optionalString('to'),
            $fields->optionalString('gives'),
            $fields->optionalString('processor'),
            $fields->optionalString('on_stick'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
