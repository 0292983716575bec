<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** What tools print as the file system of an encrypted volume. */
final readonly class EncryptionWords
{
    /**
     * @param  list<string>  $words
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $asOf,
        public string $source,
        public array $words,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  a document that the encryption schema accepts
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
        $fields->wants('words');

        return new self(
            $fields->string('id'),
            $fields->string('name'),
            $fields->string('as_of'),
            $fields->string('source'),
            $fields->strings('words'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
