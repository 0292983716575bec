<?php

declare(strict_types=1);

namespace App\Devices\Publisher;

use RuntimeException;

/** Where images are given out: a server that says what it has, and gives any part of it. */
interface Publisher
{
    /** Null where it does not have that file. */
    public function offer(string $file): ?Offer;

    /**
     * A part of a file.
     *
     * @param  int  $from  first byte
     * @param  int  $length  bytes at most
     *
     * @throws RuntimeException where the line breaks
     */
    public function piece(string $file, int $from, int $length): string;
}
