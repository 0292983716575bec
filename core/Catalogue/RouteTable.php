<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** The rungs of the route ladder and the questions that decide between them (rule A3). */
final readonly class RouteTable
{
    /**
     * @param  array<array-key, RouteQuestion>  $questions  fact => how to ask for it
     * @param  list<Rung>  $rungs
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $asOf,
        public string $source,
        public array $questions,
        public array $rungs,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  a document that the routes schema accepts
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
        $fields->wants('questions', 'rungs');

        return new self(
            $fields->string('id'),
            $fields->string('name'),
            $fields->string('as_of'),
            $fields->string('source'),
            array_map(RouteQuestion::read(...), $fields->blocks('questions')),
            $fields->each('rungs', Rung::read(...)),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
