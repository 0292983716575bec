<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Drivers\Matching\RefusedBecause;

/** A package that claims a device and is not the one. */
final readonly class RefusedFound
{
    /** @param  string  $words  why, with what decided; empty on paths of before it was kept */
    public function __construct(public string $package, public RefusedBecause $why, public string $words = '')
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('package'),
            $fields->enum('why', RefusedBecause::class),
            $fields->optionalString('words') ?? '',
        );
    }

    /** @return array{package: string, why: string, words: string} */
    public function toArray(): array
    {
        return ['package' => $this->package, 'why' => $this->why->value, 'words' => $this->words];
    }
}
