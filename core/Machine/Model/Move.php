<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** One move of a sequence of hands: hold, press, let go, wait (rule F1). */
final readonly class Move
{
    public function __construct(
        public string $do,
        public int|float|null $seconds = null,
        public ?string $hold = null,
        public ?string $release = null,
        public ?string $press = null,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  one entry of a recovery's sequence
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
            $fields->string('do'),
            $fields->optionalNumber('seconds'),
            $fields->optionalString('hold'),
            $fields->optionalString('release'),
            $fields->optionalString('press'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
