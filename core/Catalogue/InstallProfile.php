<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** The phases of an installation. */
final readonly class InstallProfile
{
    /**
     * @param  list<InstallPhase>  $phases
     */
    public function __construct(public array $phases)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        $fields->wants('phases');

        return new self($fields->each('phases', InstallPhase::read(...)));
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
