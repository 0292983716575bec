<?php

declare(strict_types=1);

namespace App\Devices;

use Cobblestone\Assessment\Backup\ManifestComparison;
use Cobblestone\Assessment\Backup\ManifestLine;
use Generator;
use RuntimeException;

/**
 * Two lists of files of any length, compared in little memory: each is gone through as a stream, put in order by `sort`
 * from coreutils, and then both are gone through side by side. Five million files a side need a few minutes and no
 * memory to speak of.
 */
final class LongLists
{
    /** A line longer than any path is left out. */
    private const LONGEST = 16_384;

    /** @var list<string> */
    private array $notes = [];

    /** @var array<string, int|null> side => bytes of all files, where every line says them */
    private array $bytes = [];

    /** @var array<string, string> */
    private array $roots = [];

    private function __construct(private readonly string $folder)
    {
    }

    /**
     * @return array{0: ManifestComparison, 1: list<string>, 2: array<string, int|null>} what differs; lines that were
     *     left out; bytes of each side
     *
     * @throws RuntimeException where there is no room to sort
     */
    public static function compare(string $source, string $copy): array
    {
        $folder = sys_get_temp_dir().'/cobble-lists-'.bin2hex(random_bytes(6));
        mkdir($folder, 0700);
        $lists = new self($folder);
        try {
            foreach (['source' => $source, 'copy' => $copy] as $side => $path) {
                if (filesize($path) * 3 > (int) disk_free_space($folder)) {
                    throw new RuntimeException(
                        'This computer has too little room to compare lists of this size. Make room, or compare '
                            .'folder by folder.',
                    );
                }
                $lists->sort($side, $path);
            }
            $compared = $lists->merged($lists->roots);
            if ($compared->hasNothingInCommon() && $lists->roots['source'] !== $lists->roots['copy']) {
                $whole = $lists->merged(['source' => '', 'copy' => '']);
                $compared = $whole->hasNothingInCommon() ? $compared : $whole;
            }

            return [$compared, array_slice($lists->notes, 0, 200), $lists->bytes];
        } finally {
            Command::run(['rm', '-rf', '--', $folder]);
        }
    }

    /** @param  array<string, string>  $roots */
    private function merged(array $roots): ManifestComparison
    {
        return ManifestComparison::ofSorted(
            $this->records('source', strlen($roots['source'])),
            $this->records('copy', strlen($roots['copy'])),
            $roots['source'],
            $roots['copy'],
        );
    }

    private function sort(string $side, string $path): void
    {
        $spaced = true;
        foreach (self::lines($path) as $line) {
            if (! ManifestLine::isNothing($line) && ManifestLine::hasSpacedSize($line) === false) {
                $spaced = false;
                break;
            }
        }
        $out =
            fopen("{$this->folder}/{$side}.plain", 'wb') ?:
            throw new RuntimeException('The lists cannot be put in order here.');
        $root = null;
        $bytes = 0;
        foreach (self::lines($path) as $number => $line) {
            if (ManifestLine::isNothing($line)) {
                continue;
            }
            $read = ManifestLine::read($line, $spaced);
            if ($read === null) {
                $said = mb_substr(mb_scrub($line), 0, 50);
                count($this->notes) < 200
                    && ($this->notes[] = "Line {$number}: \"{$said}\" is not a line of sha256sum; left out.");

                continue;
            }
            $root = ManifestComparison::shared($root, $read->path);
            $bytes = $bytes === null || $read->bytes === null ? null : $bytes + $read->bytes;
            $row = addcslashes($read->path, "\0..\37\\")."\0{$read->hash}\0{$read->bytes}\n";
            if (@fwrite($out, $row) === false) {
                throw new RuntimeException('This computer\'s drive is full: the lists cannot be put in order here.');
            }
        }
        fclose($out);
        [$this->roots[$side], $this->bytes[$side]] = [$root ?? '', $bytes];
        // Stable and by bytes, so that of two lines of one path the later one stays the later.
        $this->sorted($side);
        unlink("{$this->folder}/{$side}.plain");
    }

    private function sorted(string $side): string
    {
        return Command::run(
            [
                'sort',
                '--stable',
                '--field-separator=\0',
                '--key=1,1',
                '--buffer-size=64M',
                "--temporary-directory={$this->folder}",
                "--output={$this->folder}/{$side}",
                "{$this->folder}/{$side}.plain",
            ],
            3600,
        );
    }

    /** @return Generator<int, array{0: string, 1: string|null, 2: int|null}> */
    private function records(string $side, int $cut): Generator
    {
        foreach (self::lines("{$this->folder}/{$side}") as $line) {
            [$path, $hash, $bytes] = array_pad(explode("\0", $line), 3, '');
            yield [
                substr(stripcslashes($path), $cut),
                $hash === '' ? null : $hash,
                $bytes === '' ? null : (int) $bytes,
            ];
        }
    }

    /** @return Generator<int, string> number => line, from one */
    private static function lines(string $path): Generator
    {
        $file = fopen($path, 'rb') ?: throw new RuntimeException('The list cannot be read.');
        $number = 0;
        while (($line = fgets($file, self::LONGEST)) !== false) {
            yield ++$number => rtrim($line, "\r\n");
        }
        fclose($file);
    }
}
