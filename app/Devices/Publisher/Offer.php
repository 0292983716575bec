<?php

declare(strict_types=1);

namespace App\Devices\Publisher;

/** A file that a publisher gives out. */
final readonly class Offer
{
    /** @param  string|null  $sha256  from the publisher's list of checksums; null where there is none */
    public function __construct(public string $file, public int $bytes, public ?string $sha256)
    {
    }
}
