<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

/** The files inside an image, listed and read by a tool outside. */
interface FileTree
{
    /**
     * @return iterable<array{path: string, bytes: int, directory: bool, link?: bool}>
     *
     * @throws ListingFailed while it is gone through
     */
    public function entries(): iterable;

    /** The first $limit bytes of a file; null where it is not there. */
    public function read(string $path, int $limit): ?string;
}
