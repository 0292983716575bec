<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Backup;

/** The originals against the copy: what is missing, what differs, what is there besides (rule A6). */
final readonly class ManifestComparison
{
    /**
     * @param  list<string>  $missing  in the originals, not in the copy
     * @param  list<string>  $differing  same path, other hash or size
     * @param  list<string>  $besides  only in the copy
     * @param  int  $proven  files whose hash is the same on both sides
     */
    private function __construct(public array $missing, public array $differing, public array $besides, public int $proven, public int $source, public int $copy, public ?string $rootSource, public ?string $rootCopy)
    {
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

        return new self($missing, $differing, array_map(strval(...), array_keys(array_diff_key($b, $a))), $proven, count($a), count($b), $rootSource === '' ? null : $rootSource, $rootCopy === '' ? null : $rootCopy);
    }

    /** Whether the copy holds every original with an equal checksum. */
    public function proves(): bool
    {
        return $this->source > 0 && $this->missing === [] && $this->differing === [] && $this->proven === $this->source;
    }

    public function sentence(): string
    {
        return match (true) {
            $this->proves() => "All {$this->source} files are in the copy with equal checksums.",
            $this->missing === [] && $this->differing === [] => "All {$this->source} files are in the copy; {$this->proven} of them are proven by checksums, the others by name and size only.",
            default => count($this->missing).' missing, '.count($this->differing).' differ, of '.$this->source.' files.',
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
            $folder = str_contains((string) $path, '/') ? substr((string) $path, 0, (int) strrpos((string) $path, '/') + 1) : '';
            $root ??= $folder;
            while ($root !== '' && ! str_starts_with($folder, $root)) {
                $cut = strrpos(rtrim($root, '/'), '/');
                $root = $cut === false ? '' : substr($root, 0, $cut + 1);
            }
        }

        return $root ?? '';
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
