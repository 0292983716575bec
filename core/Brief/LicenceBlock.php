<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** Where the licence comes from, as somebody said (rule A8). */
final readonly class LicenceBlock
{
    /**
     * @param  string|null  $edition  the edition it is for
     */
    public function __construct(public string $kind, public ?string $edition = null)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->oneOf('kind', ['firmware-key', 'entitlement', 'retail', 'none', 'unclear']),
            $fields->optionalString('edition'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
