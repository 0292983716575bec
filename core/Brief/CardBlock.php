<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** The graphics card that comes in, and what feeds it (rule H5). */
final readonly class CardBlock
{
    /**
     * @param  list<string>|null  $leads  null where nobody has said
     * @param  string|null  $id  identifier, such as pci:46e1:7700
     */
    public function __construct(
        public string $new,
        public ?string $old = null,
        public int|float|null $watts = null,
        public int|float|null $supplyW = null,
        public int|float|null $processorW = null,
        public int|float|null $restW = null,
        public ?array $leads = null,
        public ?string $id = null,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  the brief's card block
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
            $fields->string('new'),
            $fields->optionalString('old'),
            $fields->optionalNumber('watts'),
            $fields->optionalNumber('supply_w'),
            $fields->optionalNumber('processor_w'),
            $fields->optionalNumber('rest_w'),
            $fields->has('leads') ? $fields->strings('leads') : null,
            $fields->optionalString('id'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
