<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** How a system is given an account of the machine alone, and on which builds that works (rules I4, J7). */
final readonly class LocalAccount
{
    /**
     * @param  string  $way  what is done, as an instruction
     * @param  string  $asOf  when somebody last saw it work
     * @param  string  $later  what it costs the owner later
     * @param  int|null  $fromBuild  null for any
     * @param  int|null  $toBuild  null while it is not known to have ended
     */
    public function __construct(
        public string $way,
        public string $asOf,
        public string $later,
        public ?int $fromBuild = null,
        public ?int $toBuild = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('way'),
            $fields->string('as_of'),
            $fields->string('later'),
            $fields->optionalInt('from_build'),
            $fields->optionalInt('to_build'),
        );
    }

    /** null where the build is not known, so that nobody can say. */
    public function worksOn(?int $build): ?bool
    {
        return match (true) {
            $this->fromBuild === null && $this->toBuild === null => true,
            $build === null => null,
            default => ($this->fromBuild ?? 0) <= $build && $build <= ($this->toBuild ?? PHP_INT_MAX),
        };
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
