<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

/** A list of files that was read already. */
final readonly class ListedFiles implements FileTree
{
    /** @param  list<array{path: string, bytes: int, directory: bool}>  $entries */
    public function __construct(private array $entries)
    {
    }

    public function entries(): iterable
    {
        return $this->entries;
    }

    public function read(string $path, int $limit): ?string
    {
        return null;
    }
}
