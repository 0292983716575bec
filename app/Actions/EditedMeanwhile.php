<?php

declare(strict_types=1);

namespace App\Actions;

use RuntimeException;

/** Somebody else changed this thing since the person's page was made; nothing is overwritten silently. */
final class EditedMeanwhile extends RuntimeException
{
    /** @param  array<string, string>  $now  label => what stands there now */
    private function __construct(
        public readonly string $thing,
        public readonly string $back,
        public readonly array $now,
    ) {
        parent::__construct("{$thing} was changed while you were looking at it.");
    }

    /**
     * @param  mixed  $seen  the version the form was made from, as it came
     * @param  array<string, string>  $now
     *
     * @throws self where it is another one than now, or none was sent
     */
    public static function check(mixed $seen, string $version, string $thing, string $back, array $now): void
    {
        if (! is_string($seen) || ! hash_equals($version, $seen)) {
            throw new self($thing, $back, $now);
        }
    }
}
