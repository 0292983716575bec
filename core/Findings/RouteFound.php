<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** Which way was found: the gentlest that can work, and all others beside it (rule A3). */
final readonly class RouteFound
{
    /**
     * @param  bool  $provisional  whether a gentler one is still possible
     * @param  string|null  $settles  the question whose answer would change it most
     * @param  list<RungFound>  $ladder  gentlest first
     */
    public function __construct(
        public bool $provisional,
        public ?string $settles,
        public array $ladder,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->bool('provisional'),
            $fields->optionalBlock('settles')?->string('text'),
            $fields->each('ladder', RungFound::read(...)),
        );
    }
}
