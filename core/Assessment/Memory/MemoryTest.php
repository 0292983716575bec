<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Memory;

use Cobblestone\Brief\TriedMemory;

/** One memory test that was made: what stood where, at which speed, and what came of it (rule A4). */
final readonly class MemoryTest
{
    public const CLEAN = 'clean';

    public const ERRORS = 'errors';

    public const NO_START = 'no-start';

    /** @param  array<string, string>  $placed  module => slot */
    public function __construct(
        public array $placed,
        public bool $fasterProfile,
        public int $passes,
        public string $outcome,
    ) {
    }

    public function failed(): bool
    {
        return $this->outcome !== self::CLEAN;
    }

    public static function of(TriedMemory $tried): self
    {
        return new self($tried->placed, $tried->profile === 'faster', $tried->passes, $tried->outcome);
    }
}
