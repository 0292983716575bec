<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

/** A part that wants a driver, named by its identifier (rule D1). */
final readonly class Device
{
    public function __construct(public string $name, public string $identifier, public string $family)
    {
    }

    /** @param  array<string, mixed>  $entry */
    public static function fromArray(array $entry): self
    {
        return new self($entry['name'], strtolower($entry['id']), $entry['family']);
    }
}
