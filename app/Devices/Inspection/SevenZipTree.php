<?php

namespace App\Devices\Inspection;

use App\Devices\Command;
use App\Devices\Limits;
use Cobblestone\Media\Inspection\FileTree;
use Cobblestone\Media\Inspection\ListingFailed;
use Generator;
use RuntimeException;
use Symfony\Component\Process\Exception\ProcessSignaledException;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/** The files inside an image as 7-Zip from Debian lists and reads them. */
final class SevenZipTree implements FileTree
{
    private const PROGRAM = '7zz';

    private const SECONDS = 60;

    /** A hundred thousand files are listed in less than one. */
    private const LISTING_SECONDS = 10;

    /** Bytes a second below which unpacking is given up. */
    private const SLOWEST = 1_000_000;

    /** A line of the listing longer than this is not a path anyone made in good faith. */
    private const LONGEST_LINE = 4096;

    private ?int $code = null;

    public function __construct(private readonly string $path, private readonly string $kind)
    {
    }

    /**
     * @return Generator<int, array{path: string, bytes: int, directory: bool, link: bool}>
     *
     * @throws ListingFailed
     */
    public function entries(): Generator
    {
        $limits = Limits::listing();
        $command = [self::PROGRAM, 'l', '-slt', '-ba', '-sccUTF-8', "-t{$this->kind}", '--', $this->path];
        $process = Command::of($command, self::LISTING_SECONDS, null, $limits);
        $process->start();
        $entry = [];
        $printed = 0;
        try {
            foreach (self::lines($process) as $line) {
                $printed += strlen($line) + 1;
                if ($printed > $limits->output) {
                    throw ListingFailed::tooManyPrinted();
                }
                if (preg_match('/^(Path|Size|Folder|Attributes|Symbolic Link) = (.*)$/s', $line, $field) === 1) {
                    $entry += [$field[1] => $field[2]];
                } elseif ($line === '' && isset($entry['Path'])) {
                    yield self::entry($entry);
                    $entry = [];
                }
            }
            $this->code = $process->isRunning() ? $process->wait() : $process->getExitCode();
        } catch (ProcessTimedOutException) {
            throw ListingFailed::tooLong(self::LISTING_SECONDS);
        } catch (ProcessSignaledException) {
            throw ListingFailed::tooMuchMemory($limits->memory);
        } finally {
            $process->stop(0);
        }
        // 8 is 7-Zip's own "not enough memory"; above 128 it was ended by a signal.
        if ($this->code === 8 || $this->code > 128 || $this->code === null) {
            throw ListingFailed::tooMuchMemory($limits->memory);
        }
        if (isset($entry['Path'])) {
            yield self::entry($entry);
        }
    }

    /**
     * Whether the listing works at all.
     *
     * @throws ListingFailed
     */
    public function isReadable(): bool
    {
        foreach ($this->entries() as $entry) {
            return true;
        }

        return $this->code === 0;
    }

    public function read(string $path, int $limit): ?string
    {
        $process = $this->reader($path);
        $bytes = '';
        try {
            $process->start();
            foreach ($process->getIterator(Process::ITER_SKIP_ERR) as $piece) {
                $bytes .= $piece;
                if (strlen($bytes) >= $limit) {
                    break;
                }
            }
        } catch (ProcessTimedOutException) {
            return null;
        } finally {
            $process->stop(0);
        }

        return $bytes === '' && ! $process->isSuccessful() ? null : substr($bytes, 0, $limit);
    }

    /** A process that prints one file's bytes. */
    public function reader(string $path, ?float $seconds = self::SECONDS): Process
    {
        return Command::of($this->arguments($path), $seconds);
    }

    /** @return list<string> what prints one file's bytes */
    public function arguments(string $path): array
    {
        return [self::PROGRAM, 'x', '-so', '-spd', "-t{$this->kind}", '--', $this->path, $path];
    }

    /**
     * Writes the named files below a folder; what leads outside is refused by 7-Zip itself.
     *
     * @param  list<string>  $paths
     * @param  int  $bytes  of all of them together, as planned: no file may become larger, and the time is meant for
     *     so much
     * @param  (callable(): void)|null  $meanwhile  asked again and again; what it throws ends the unpacking
     */
    public function extract(array $paths, string $folder, int $bytes, ?callable $meanwhile = null): void
    {
        if (preg_grep('/[\x00-\x1F\x7F]/', $paths) !== []) {
            throw new RuntimeException('A name inside the image has control characters: it is not unpacked.');
        }
        $list = tempnam($folder, 'list');
        file_put_contents($list, implode("\n", $paths)."\n");
        Command::run(
            [
                self::PROGRAM,
                'x',
                '-y',
                '-bd',
                '-spd',
                '-scsUTF-8',
                "-t{$this->kind}",
                "-o{$folder}",
                "-i@{$list}",
                '--',
                $this->path,
            ],
            self::SECONDS + $bytes / self::SLOWEST,
            null,
            new Limits(file: max(1_048_576, $bytes)),
            $meanwhile,
        );
        unlink($list);
    }

    /** @return Generator<int, string> */
    private static function lines(Process $process): Generator
    {
        $rest = '';
        foreach ($process->getIterator(Process::ITER_SKIP_ERR) as $piece) {
            $lines = explode("\n", $rest.$piece);
            $rest = (string) array_pop($lines);
            if (strlen($rest) > self::LONGEST_LINE) {
                $rest = substr($rest, 0, self::LONGEST_LINE);
            }
            foreach ($lines as $line) {
                yield rtrim($line, "\r");
            }
        }
        yield $rest;
    }

    /**
     * @param  array<string, string>  $entry
     * @return array{path: string, bytes: int, directory: bool, link: bool}
     */
    private static function entry(array $entry): array
    {
        return [
            'path' => $entry['Path'],
            'bytes' => (int) ($entry['Size'] ?? 0),
            'directory' => ($entry['Folder'] ?? '') === '+' || str_starts_with($entry['Attributes'] ?? '', 'D'),
            'link' => ($entry['Symbolic Link'] ?? '') !== '',
        ];
    }
}
