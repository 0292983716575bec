<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\ImageFetch;
use Cobblestone\Catalogue\Image;

/** What follows when an image has come whole. */
interface WhenFetched
{
    /** @param  string|null  $sum  the publisher's checksum that it was compared with; null where there is none */
    public function fetched(ImageFetch $fetch, Image $image, ?string $sum): void;
}
