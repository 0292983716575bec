<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

/** A file under a name that firmware tries, and where it lies. */
final readonly class LoaderFileSeen
{
    /**
     * @param  string  $where  partition, volume, el-torito or files
     * @param  string  $place  the same in words
     */
    public function __construct(
        public string $name,
        public string $where,
        public string $place,
        public int $bytes,
    ) {
    }
}
