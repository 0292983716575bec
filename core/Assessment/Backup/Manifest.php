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
     * Lines of `sha256sum` ("hash  path", "hash *path", escaped with a backslash), "bytes<tab>path" as `find -printf
     * '%s\t%p\n'` prints, or a path alone.
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
        $spaced = self::isSpaced($lines);
        foreach ($lines as $index => $line) {
            if (ManifestLine::isNothing($line)) {
                continue;
            }
            $read = ManifestLine::read($line, $spaced);
            if ($read === null) {
                $notes[] = 'Line '.($index + 1).': "'.mb_substr($line, 0, 50).'" is not a line of sha256sum; left out.';

                continue;
            }
            $entry = ['hash' => $read->hash, 'bytes' => $read->bytes];
            $present = $files[$read->path] ?? $entry;
            if (isset($files[$read->path]) && ! self::complete($entry, $present)) {
                $notes[] = 'Line '.($index + 1).": \"{$read->path}\" stands there twice; the later line counts.";
                $present = $entry;
            }
            $files[$read->path] = [
                'hash' => $entry['hash'] ?? $present['hash'],
                'bytes' => $entry['bytes'] ?? $present['bytes'],
            ];
        }

        return new self($files, $notes);
    }

    /**
     * Whether one says the sum and the other the size of the same file.
     *
     * @param  array{hash: string|null, bytes: int|null}  $one
     * @param  array{hash: string|null, bytes: int|null}  $other
     */
    private static function complete(array $one, array $other): bool
    {
        return ($one['hash'] === null) !== ($other['hash'] === null)
            && ($one['bytes'] === null) !== ($other['bytes'] === null);
    }

    /** @param  list<string>  $lines */
    private static function isSpaced(array $lines): bool
    {
        foreach ($lines as $line) {
            if (! ManifestLine::isNothing($line) && ManifestLine::hasSpacedSize($line) === false) {
                return false;
            }
        }

        return true;
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
}
