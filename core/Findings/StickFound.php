<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Storage\DeviceLayout;

/** The stick of a job: what is on it now, and what will be. */
final readonly class StickFound
{
    /** @param  DeviceLayout|null  $after  null where it cannot be laid out as things stand */
    public function __construct(
        public string $name,
        public int $bytes,
        public ?string $contents,
        public ?DeviceLayout $after,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('name'),
            $fields->int('bytes'),
            $fields->optionalString('contents'),
            $fields->optional('after', DeviceLayout::read(...)),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return Written::of($this, ['contents', 'after']);
    }
}
