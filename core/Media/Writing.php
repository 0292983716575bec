<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Quantity\Bytes;

/** How one stick is written: the way, how much, how long, how long reading back takes, and under which label. */
final readonly class Writing
{
    /**
     * @param  Bytes|null  $bytes  null until the image is measured
     * @param  string|null  $label  of the file system, where files are copied
     * @param  Split|null  $split  the file that is cut into parts
     */
    public function __construct(
        public WriteMode $mode,
        public ?Bytes $bytes,
        public WriteTime $time,
        public WriteTime $reading,
        public ?string $label,
        public ?Split $split,
    ) {
    }
}
