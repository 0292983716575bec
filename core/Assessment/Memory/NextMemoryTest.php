<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Memory;

/** The test that settles most per minute (rule A4). */
final readonly class NextMemoryTest
{
    /** @param  array<string, string>  $placed */
    public function __construct(
        public array $placed,
        public int $passes,
        public float $minutes,
        public string $sentence,
    ) {
    }
}
