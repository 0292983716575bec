<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Backup;

use Cobblestone\Inventory\UnreadableInventory;

/** A list of files as one side of a backup has them: from `sha256sum`, or size and path, or paths alone (rule A6). */
final readonly class Manifest
{
    public const LIMIT = 40_000_000;

    /**
     * @param  array<string, array{hash: string|null, bytes: int|null}>  $files  path => what is known of it
     * @param  list<string>  $notes  lines that were not understood
     */
    private function __construct(public array $files, public array $notes)
    {
    }

    /**
     * Lines of `sha256sum` ("hash  path", "hash *path", escaped with a backslash), "bytes<tab>path" as `find -printf '%s\t%p\n'` prints, or a path alone.
     *
     * @throws UnreadableInventory
     */
    public static function read(string $text): self
    {
        if (trim($text) === '') {
            throw UnreadableInventory::empty('sha256sum');
        }
        if (strlen($text) > self::LIMIT) {
            throw UnreadableInventory::tooLarge(strlen($text), self::LIMIT, 'sha256sum');
        }
        $files = [];
        $notes = [];
        $lines = array_map(static fn (string $line): string => rtrim($line, "\r"), explode("\n", $text));
        $size = self::sizePattern($lines);
        foreach ($lines as $index => $line) {
            if (trim($line) === '' || $line[0] === '#') {
                continue;
            }
            if (preg_match('/^(\\\\?)([0-9a-f]{64}) [ *](.+)$/i', $line, $match) === 1) {
                $path = $match[1] === '' ? $match[3] : strtr($match[3], ['\\\\' => '\\', '\\n' => "\n", '\\r' => "\r"]);
                $entry = ['hash' => strtolower($match[2]), 'bytes' => null];
            } elseif (preg_match($size, $line, $match) === 1) {
                [$path, $entry] = [$match[2], ['hash' => null, 'bytes' => (int) $match[1]]];
            } elseif (preg_match('/^[0-9a-f]{32,128}\s/i', $line) === 1 || preg_match('/^sha256sum: /', $line) === 1) {
                $notes[] = 'Line '.($index + 1).': "'.mb_substr($line, 0, 50).'" is not a line of sha256sum; left out.';

                continue;
            } else {
                [$path, $entry] = [$line, ['hash' => null, 'bytes' => null]];
            }
            $path = self::plain($path);
            $present = $files[$path] ?? null;
            if ($present !== null && ($entry['hash'] === null) !== ($present['hash'] === null) && ($entry['bytes'] === null) !== ($present['bytes'] === null)) {
                $entry = ['hash' => $entry['hash'] ?? $present['hash'], 'bytes' => $entry['bytes'] ?? $present['bytes']];
            } elseif ($present !== null) {
                $notes[] = 'Line '.($index + 1).": \"{$path}\" stands there twice; the later line counts.";
            }
            $files[$path] = $entry;
        }

        return new self($files, $notes);
    }

    /**
     * What a line with a size looks like. Only a tab surely ends one: "2019 regatta.jpg" is a name, unless every line begins with a number.
     *
     * @param  list<string>  $lines
     */
    private static function sizePattern(array $lines): string
    {
        $bare = array_filter($lines, static fn (string $line): bool => trim($line) !== '' && $line[0] !== '#' && preg_match('/^\\\\?[0-9a-f]{64} /i', $line) !== 1);
        $spaced = count(preg_grep('/^ *[0-9]{1,18} +\S/', $bare) ?: []) === count($bare);

        return $spaced ? '/^ *([0-9]{1,18}) +(.+)$/' : '/^([0-9]{1,18})\t(.+)$/';
    }

    /** Bytes of all files; null where one does not say. */
    public function bytes(): ?int
    {
        $sum = 0;
        foreach ($this->files as $file) {
            if ($file['bytes'] === null) {
                return null;
            }
            $sum += $file['bytes'];
        }

        return $sum;
    }

    /** "./pictures//a.jpg" and "pictures/a.jpg" are the same file. */
    private static function plain(string $path): string
    {
        $path = (string) preg_replace('#/{2,}#', '/', str_replace('\\', '/', $path));

        return (string) preg_replace('#^(\./)+#', '', $path);
    }
}
