<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** What the bench sets up for one kind of user on some systems: programs, start-up items, what is removed (rule T5). */
final readonly class AppSet
{
    /**
     * @param  list<string>  $systems  identifiers it is for
     * @param  list<AppProgram>  $programs  in the order in which they are installed
     * @param  list<string>  $startup  what starts by itself and is switched off
     * @param  list<string>  $remove  programs nobody asked for
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $asOf,
        public string $source,
        public array $systems,
        public array $programs = [],
        public array $startup = [],
        public array $remove = [],
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  a document that the apps schema accepts
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
            $fields->wants('systems')->strings('systems'),
            $fields->each('programs', AppProgram::read(...)),
            $fields->strings('startup'),
            $fields->strings('remove'),
        );
    }

    public function isFor(string $system): bool
    {
        return in_array($system, $this->systems, true);
    }

    public function dated(): string
    {
        return "catalogue, {$this->name}, as of {$this->asOf}";
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
