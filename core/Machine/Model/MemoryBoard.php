<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\DocumentFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** The slots of a board and which of them may be filled together (rule A13). */
final readonly class MemoryBoard
{
    /**
     * @param  list<string>  $slots
     * @param  list<list<string>>  $populations
     */
    public function __construct(
        public array $slots,
        public array $populations = [],
        public bool $soldered = false,
    ) {
    }

    /** @throws DocumentFault */
    public static function read(Fields $fields): self
    {
        $fields->wants('slots');

        return new self(
            $fields->strings('slots'),
            self::rows($fields),
            $fields->optionalBool('soldered') ?? false,
        );
    }

    /** @return list<list<string>> */
    private static function rows(Fields $fields): array
    {
        $rows = [];
        foreach (array_keys($fields->blocks('populations')) as $index) {
            $rows[] = Fields::of($fields->raw('populations'), $fields->path('populations'))->strings((string) $index);
        }

        return $rows;
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
