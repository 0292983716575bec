<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Backup;

use Generator;

/** The originals against the copy: what is missing, what differs, what is there besides (rule A6). */
final readonly class ManifestComparison
{
    /** Names of each kind that are kept of long lists. */
    private const NAMES = 1000;

    /**
     * @param  list<string>  $missing  in the originals, not in the copy
     * @param  list<string>  $differing  same path, other hash or size
     * @param  list<string>  $besides  only in the copy
     * @param  int  $proven  files whose hash is the same on both sides
     */
    private function __construct(
        public array $missing,
        public array $differing,
        public array $besides,
        public int $proven,
        public int $source,
        public int $copy,
        public ?string $rootSource,
        public ?string $rootCopy,
        public int $missingCount,
        public int $differingCount,
        public int $besidesCount,
    ) {
    }

    public static function of(Manifest $source, Manifest $copy): self
    {
        // Both sides are rooted elsewhere: what all paths begin with is where the list was made.
        [$rootSource, $rootCopy] = [self::root($source), self::root($copy)];
        [$a, $b] = [self::cut($source, $rootSource), self::cut($copy, $rootCopy)];
        if (array_intersect_key($a, $b) === [] && array_intersect_key($source->files, $copy->files) !== []) {
            [$a, $b, $rootSource, $rootCopy] = [$source->files, $copy->files, '', ''];
        }
        $missing = $differing = [];
        $proven = 0;
        foreach ($a as $path => $file) {
            $other = $b[$path] ?? null;
            if ($other === null) {
                $missing[] = (string) $path;
            } elseif (self::differ($file['hash'], $other['hash']) || self::differ($file['bytes'], $other['bytes'])) {
                $differing[] = (string) $path;
            } elseif ($file['hash'] !== null && $other['hash'] !== null) {
                $proven++;
            }
        }

        $besides = array_map(strval(...), array_keys(array_diff_key($b, $a)));

        return new self(
            $missing,
            $differing,
            $besides,
            $proven,
            count($a),
            count($b),
            $rootSource === '' ? null : $rootSource,
            $rootCopy === '' ? null : $rootCopy,
            count($missing),
            count($differing),
            count($besides),
        );
    }

    /**
     * The same for lists of any length, each sorted by its paths' bytes: in one pass, with the first names of each
     * kind kept.
     *
     * @param  iterable<array{0: string, 1: string|null, 2: int|null}>  $source  path below the root, hash, bytes; the
     *     same path twice is joined
     * @param  iterable<array{0: string, 1: string|null, 2: int|null}>  $copy
     */
    public static function ofSorted(iterable $source, iterable $copy, string $rootSource, string $rootCopy): self
    {
        [$a, $b] = [self::joined($source), self::joined($copy)];
        $names = ['missing' => [], 'differing' => [], 'besides' => []];
        $counts = ['missing' => 0, 'differing' => 0, 'besides' => 0];
        $note = static function (string $kind, string $path) use (&$names, &$counts): void {
            $counts[$kind]++;
            count($names[$kind]) < self::NAMES && ($names[$kind][] = $path);
        };
        $proven = $originals = $copies = 0;
        while ($a->valid() || $b->valid()) {
            $order = ! $a->valid() ? 1 : (! $b->valid() ? -1 : strcmp($a->current()[0], $b->current()[0]));
            $originals += $order <= 0 ? 1 : 0;
            $copies += $order >= 0 ? 1 : 0;
            if ($order < 0) {
                $note('missing', $a->current()[0]);
            } elseif ($order > 0) {
                $note('besides', $b->current()[0]);
            } elseif (
                self::differ($a->current()[1], $b->current()[1]) ||
                self::differ($a->current()[2], $b->current()[2])
            ) {
                $note('differing', $a->current()[0]);
            } elseif ($a->current()[1] !== null && $b->current()[1] !== null) {
                $proven++;
            }
            $order <= 0 && $a->next();
            $order >= 0 && $b->next();
        }

        return new self(
            $names['missing'], $names['differing'], $names['besides'],
            $proven, $originals, $copies,
            $rootSource === '' ? null : $rootSource, $rootCopy === '' ? null : $rootCopy,
            $counts['missing'], $counts['differing'], $counts['besides'],
        );
    }

    /** Whether two sides that are rooted elsewhere have nothing in common, so that the roots were none. */
    public function hasNothingInCommon(): bool
    {
        return $this->missingCount === $this->source;
    }

    /**
     * Neighbours of the same path as one: a checksum from one line, a size from another; else the later line counts.
     *
     * @param  iterable<array{0: string, 1: string|null, 2: int|null}>  $records
     * @return Generator<int, array{0: string, 1: string|null, 2: int|null}>
     */
    private static function joined(iterable $records): Generator
    {
        $last = null;
        foreach ($records as [$path, $hash, $bytes]) {
            if ($last !== null && $last[0] === $path) {
                $last =
                    ($hash === null) !== ($last[1] === null) && ($bytes === null) !== ($last[2] === null)
                        ? [$path, $hash ?? $last[1], $bytes ?? $last[2]]
                        : [$path, $hash, $bytes];

                continue;
            }
            if ($last !== null) {
                yield $last;
            }
            $last = [$path, $hash, $bytes];
        }
        if ($last !== null) {
            yield $last;
        }
    }

    /** Whether the copy holds every original with an equal checksum. */
    public function proves(): bool
    {
        return $this->source > 0 &&
            $this->missingCount === 0 &&
            $this->differingCount === 0 &&
            $this->proven === $this->source;
    }

    public function sentence(): string
    {
        return match (true) {
            $this->proves() => "All {$this->source} files are in the copy with equal checksums.",
            $this->missingCount === 0 && $this->differingCount === 0 => "All {$this->source} files are in the "
                ."copy; {$this->proven} of them are proven by checksums, the others by name and size only.",
            default => $this->missingCount.
                ' missing, '.
                $this->differingCount.
                ' differ, of '.
                $this->source.
                ' files.',
        };
    }

    private static function differ(string|int|null $a, string|int|null $b): bool
    {
        return $a !== null && $b !== null && $a !== $b;
    }

    /** The folder that all paths of a list share. */
    private static function root(Manifest $manifest): string
    {
        $root = null;
        foreach (array_keys($manifest->files) as $path) {
            $root = self::shared($root, (string) $path);
        }

        return $root ?? '';
    }

    /**
     * What a path leaves of the folder that the paths before it share; null before the first. Ends in a slash, or is
     * empty.
     */
    public static function shared(?string $root, string $path): string
    {
        $folder = str_contains($path, '/') ? substr($path, 0, (int) strrpos($path, '/') + 1) : '';
        $root ??= $folder;
        while ($root !== '' && ! str_starts_with($folder, $root)) {
            $cut = strrpos(rtrim($root, '/'), '/');
            $root = $cut === false ? '' : substr($root, 0, $cut + 1);
        }

        return $root;
    }

    /** @return array<string, array{hash: string|null, bytes: int|null}> */
    private static function cut(Manifest $manifest, string $root): array
    {
        $files = [];
        foreach ($manifest->files as $path => $file) {
            $files[substr((string) $path, strlen($root))] = $file;
        }

        return $files;
    }
}
