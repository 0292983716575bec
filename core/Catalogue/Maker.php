<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Machine\Model\WaysIn;

/** Ways in that are usual for a maker's machines (rule F1). */
final readonly class Maker
{
    public function __construct(
        public string $id,
        public string $name,
        public string $asOf,
        public string $source,
        public WaysIn $waysIn,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  a document that the makers schema accepts
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $document): self
    {
        return self::read(Fields::of($document));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('id'),
            $fields->string('name'),
            $fields->string('as_of'),
            $fields->string('source'),
            WaysIn::read($fields->block('ways_in')),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
