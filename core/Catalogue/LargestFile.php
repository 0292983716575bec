<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** The largest file of an image, and whether its installer reads it in parts (rule M6). */
final readonly class LargestFile
{
    /**
     * @param  string|null  $parts  how the parts are named; null where it cannot be split
     * @param  list<string>  $splitter  command that splits it
     */
    public function __construct(
        public string $path,
        public int $bytes,
        public ?string $parts = null,
        public array $splitter = [],
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('path'),
            $fields->int('bytes'),
            $fields->optionalString('parts'),
            $fields->strings('splitter'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this, ['parts']);
    }
}
