<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

/** What is fitted on a board, as far as a firmware release asks for it. */
final readonly class BoardFitted
{
    /**
     * @param  string|null  $processor  family of the processor that is fitted; null where nobody knows
     * @param  string|null  $revision  of the board; null where nobody knows
     * @param  string|null  $next  family of the processor that comes in afterwards; null where none does
     */
    public function __construct(
        public ?string $processor = null,
        public ?string $revision = null,
        public ?string $next = null,
    ) {
    }
}
