<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

/** How many files a tree holds, how large, and which is the largest. */
final readonly class FileCount
{
    /** More files than this are counted no further; no installer has them. */
    private const MOST = 300_000;

    /**
     * @param  array{path: string, bytes: int}|null  $largest
     * @param  array<string, string>  $loaders  upper-case name => path as written
     */
    private function __construct(
        public int $count,
        public int $directories,
        public int $bytes,
        public ?array $largest,
        public array $loaders,
        public bool $complete,
        public int $links,
        public string $tree,
    ) {
    }

    /** @param  string  $kind  udf, iso or fat: how the tree was read */
    public static function of(FileTree $tree, string $kind): self
    {
        $count = $directories = $bytes = $links = 0;
        $largest = null;
        $loaders = [];
        foreach ($tree->entries() as $entry) {
            if ($count + $directories >= self::MOST) {
                return new self($count, $directories, $bytes, $largest, $loaders, false, $links, $kind);
            }
            if ($entry['link'] ?? false) {
                $links++;

                continue;
            }
            if ($entry['directory']) {
                $directories++;

                continue;
            }
            $count++;
            $size = max(0, min($entry['bytes'], 1 << 50));
            $bytes += $size;
            if ($largest === null || $size > $largest['bytes']) {
                $largest = ['path' => mb_scrub($entry['path']), 'bytes' => $size];
            }
            $name = strtoupper(basename($entry['path']));
            if (strtoupper(dirname($entry['path'])) === FoundLoader::FOLDER && isset(FoundLoader::NAMES[$name])) {
                $loaders[$name] = $entry['path'];
            }
        }

        return new self($count, $directories, $bytes, $largest, $loaders, true, $links, $kind);
    }

    /**
     * @return array{count: int, directories: int, bytes: int, largest: array{path: string, bytes: int}|null,
     *     complete: bool, tree: string}
     */
    public function toArray(): array
    {
        return [
            'count' => $this->count,
            'directories' => $this->directories,
            'bytes' => $this->bytes,
            'largest' => $this->largest,
            'complete' => $this->complete,
            'tree' => $this->tree,
        ];
    }
}
