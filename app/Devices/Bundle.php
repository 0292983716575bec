<?php

namespace App\Devices;

use ZipArchive;

/**
 * What somebody uploaded, opened within limits: one file, a gzipped tar or a zip of files.
 *
 * The tar is read as a stream of our own, because only so can counting stop a file that expands without end
 * before it has been expanded; no member ever becomes a file on disk.
 */
final class Bundle
{
    /** Bytes a bundle may have as it comes. */
    public const FILE_LIMIT = 64_000_000;

    /** Bytes all members may have together once expanded. */
    public const EXPANDED_LIMIT = 160_000_000;

    public const MEMBER_LIMIT = 400;

    /** Bytes of one member that is read as text; tools print far less. */
    private const TEXT_LIMIT = 4_000_000;

    private const BLOCK = 512;

    /** @var array<string, string> name => text */
    private array $files = [];

    /** @var list<string> */
    private array $notes = [];

    private int $members = 0;

    private int $expanded = 0;

    private function __construct(private readonly string $name)
    {
    }

    /** @return array{0: array<string, string>, 1: list<string>} texts by name, and what was left out and why */
    public static function open(string $path, string $name): array
    {
        $bundle = new self($name);
        if ((int) filesize($path) > self::FILE_LIMIT) {
            return [
                [],
                [
                    sprintf(
                        '%s has %.1f MB; a bundle of the collector has far less than %.0f MB. It was not opened.',
                        $name,
                        filesize($path) / 1e6,
                        self::FILE_LIMIT / 1e6,
                    ),
                ],
            ];
        }
        $start = (string) file_get_contents($path, false, null, 0, 4);
        match (true) {
            str_starts_with($start, "\x1f\x8b") => $bundle->tar($path),
            str_starts_with($start, "PK\x03\x04") => $bundle->zip($path),
            default => $bundle->take($name, (string) file_get_contents($path, false, null, 0, self::TEXT_LIMIT + 1)),
        };

        return [$bundle->files, $bundle->notes];
    }

    private function tar(string $archive): void
    {
        $stream = gzopen($archive, 'rb');
        if ($stream === false) {
            $this->notes[] = "{$this->name} could not be opened.";

            return;
        }
        $long = null;
        while (! gzeof($stream)) {
            $header = $this->exactly($stream, self::BLOCK);
            if (strlen($header) < self::BLOCK || trim($header, "\0") === '') {
                break;
            }
            $member = TarHeader::read($header);
            if ($member === null) {
                $this->notes[] = "{$this->name} is damaged or no bundle: what came before the damage was read.";
                break;
            }
            [$type, $size, $padded] = [$member->type, $member->bytes, $member->padded()];
            $path = $long ?? $member->path;
            $long = null;
            if (! $this->mayGoOn($path, $padded)) {
                break;
            }
            if (($type === 'L' && $size < 4096) || ($type === 'x' && $size < 65_536)) {
                $long = TarHeader::longPath($type, $this->exactly($stream, $padded));

                continue;
            }
            $isFile = $type === '0' || $type === "\0";
            if (! in_array($type, ['5', 'x', 'g'], true) && $this->isWanted($path, $size, $isFile)) {
                $this->files[basename($path)] = substr($this->exactly($stream, $padded), 0, $size);
            } else {
                $this->skip($stream, $padded);
            }
        }
        gzclose($stream);
    }

    private function zip(string $path): void
    {
        $zip = new ZipArchive();
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            $this->notes[] = "{$this->name} is damaged or no zip file.";

            return;
        }
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $stat = $zip->statIndex($i) ?: ['name' => '?', 'size' => 0];
            if (! $this->mayGoOn($stat['name'], 0)) {
                break;
            }
            $zip->getExternalAttributesIndex($i, $system, $attributes);
            $isLink = $system === ZipArchive::OPSYS_UNIX && (($attributes >> 28) & 0xF) === 0xA;
            if (str_ends_with($stat['name'], '/') || ! $this->isWanted($stat['name'], $stat['size'], ! $isLink)) {
                continue;
            }
            // The stated size may lie: no more than the limit is ever expanded.
            $text = (string) $zip->getFromIndex($i, self::TEXT_LIMIT + 1);
            $this->expanded += strlen($text);
            $this->take(basename($stat['name']), $text);
        }
        $zip->close();
    }

    /** Counts a member; false once more would be too much. */
    private function mayGoOn(string $member, int $bytes): bool
    {
        $this->members++;
        $this->expanded += $bytes;
        if ($this->members > self::MEMBER_LIMIT) {
            $this->notes[] = "{$this->name} holds more than ".self::MEMBER_LIMIT.' files: the rest was left out.';

            return false;
        }
        if ($this->expanded > self::EXPANDED_LIMIT) {
            $this->notes[] = sprintf(
                '%s expands to more than %.0f MB at "%s": from there on it was left out.',
                $this->name,
                self::EXPANDED_LIMIT / 1e6,
                mb_substr(mb_scrub($member), 0, 60),
            );

            return false;
        }

        return true;
    }

    private function isWanted(string $member, int $size, bool $plainFile): bool
    {
        $shown = '"'.mb_substr(mb_scrub($member), 0, 80).'"';
        $why = match (true) {
            ! $plainFile => 'is a link or a device, not a file',
            str_starts_with($member, '/')
                || preg_match(
                    '#(^|[/\\\\])\.\.([/\\\\]|$)|^[A-Za-z]:|\\\\#',
                    $member,
                ) === 1 => 'has a path that leads outside',
            preg_match('/\.(tar|gz|tgz|zip|xz|bz2|zst|7z)$/i', $member) === 1 => 'is an archive inside the archive',
            $size > self::TEXT_LIMIT => sprintf('has %.1f MB, more than any of these tools prints', $size / 1e6),
            default => null,
        };
        if ($why !== null) {
            $this->notes[] = "{$shown} {$why}: left out.";
        }

        return $why === null;
    }

    private function take(string $name, string $text): void
    {
        if (strlen($text) > self::TEXT_LIMIT) {
            $this->notes[] = "\"{$name}\" is longer than any of these tools prints: left out.";

            return;
        }
        $this->files[$name] = $text;
    }

    /** @param  resource  $stream */
    private function exactly($stream, int $bytes): string
    {
        $text = '';
        while (strlen($text) < $bytes && ! gzeof($stream)) {
            $more = gzread($stream, min(65_536, $bytes - strlen($text)));
            if ($more === false || $more === '') {
                break;
            }
            $text .= $more;
        }

        return $text;
    }

    /** @param  resource  $stream */
    private function skip($stream, int $bytes): void
    {
        while ($bytes > 0 && ! gzeof($stream)) {
            $read = gzread($stream, min(65_536, $bytes));
            if ($read === false || $read === '') {
                break;
            }
            $bytes -= strlen($read);
        }
    }
}
