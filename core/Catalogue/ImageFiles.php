<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** The files of an image, as counted; the largest is unknown until somebody counted them. */
final readonly class ImageFiles
{
    public function __construct(
        public int $count,
        public int $directories,
        public int $bytes,
        public ?LargestFile $largest = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->int('count'),
            $fields->int('directories'),
            $fields->int('bytes'),
            $fields->optional('largest', LargestFile::read(...)),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
