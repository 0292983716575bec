<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** Whether a system can write its memory to the drive and go on from there (rule I3). */
final readonly class SwapProfile
{
    /** @param  bool  $underSecureBoot  whether it still can while Secure Boot is in force */
    public function __construct(public bool $hibernates = false, public bool $underSecureBoot = false)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->optionalBool('hibernates') ?? false,
            $fields->optionalBool('under_secure_boot') ?? false,
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
