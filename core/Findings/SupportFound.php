<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** When the support of something ends. */
final readonly class SupportFound
{
    /**
     * @param  int|null  $days  from today; null where no end is on record
     */
    public function __construct(
        public ?int $days,
        public string $sentence,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->optionalInt('days'),
            $fields->string('sentence'),
        );
    }
}
