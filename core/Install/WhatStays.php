<?php

declare(strict_types=1);

namespace Cobblestone\Install;

/**
 * What was said to stay on the drive: some partitions by their first sectors, something that cannot be read, or
 * nothing. The three are never taken for one another (rules I2, U3).
 */
final readonly class WhatStays
{
    /**
     * @param  list<int>  $sectors  first sectors of what stays
     * @param  list<string>  $unreadable  words among them that are no sector
     */
    private function __construct(public array $sectors, public array $unreadable)
    {
    }

    /** @param  string  $said  first sectors with commas; empty where nothing stays */
    public static function read(string $said): self
    {
        $words = array_map(trim(...), explode(',', $said));
        if (trim($said) === '') {
            return new self([], []);
        }
        $isSector = static fn (string $word): bool => preg_match('/^[0-9]{1,18}$/', $word) === 1;

        return new self(
            array_map(intval(...), array_values(array_filter($words, $isSector))),
            array_values(array_filter($words, static fn (string $word): bool => ! $isSector($word))),
        );
    }

    public function isNothing(): bool
    {
        return $this->sectors === [] && $this->unreadable === [];
    }
}
