<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

use Cobblestone\Storage\Reading\ByteSource;

/** How a file is compressed, and how many bytes come out where the format tells (rule M2). */
final readonly class Compression
{
    /** Streams glued together in one xz file; more than these are not followed. */
    private const MOST_STREAMS = 1000;

    private const LARGEST_DIRECTORY = 4_194_304;

    /**
     * @param  string  $kind  gzip, bzip2, xz, zstd or zip
     * @param  int|null  $expanded  bytes; null where the format does not tell
     * @param  string|null  $hint  what is known instead
     * @param  list<string>  $faults
     */
    private function __construct(
        public string $kind,
        public ?int $expanded,
        public ?string $hint,
        public array $faults = [],
        public int $members = 1,
    ) {
    }

    /** Null where the file is none of them. */
    public static function detect(ByteSource $file): ?self
    {
        $start = $file->read(0, 32);

        return match (true) {
            str_starts_with($start, "\x1F\x8B\x08") => self::gzip($file),
            preg_match('/^BZh[1-9]\x31\x41\x59\x26\x53\x59/', $start) === 1 => new self(
                'bzip2',
                null,
                'bzip2 does not tell how much comes out',
            ),
            str_starts_with($start, "\xFD7zXZ\0") => self::xz($file),
            str_starts_with($start, "\x28\xB5\x2F\xFD") => self::zstd($start),
            str_starts_with($start, "PK\x03\x04"), str_starts_with($start, "PK\x05\x06") => self::zip($file),
            default => null,
        };
    }

    /** @return array{kind: string, expanded_bytes: int|null, hint: string|null, members: int, faults: list<string>} */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind,
            'expanded_bytes' => $this->expanded,
            'hint' => $this->hint,
            'members' => $this->members,
            'faults' => $this->faults,
        ];
    }

    /** RFC 1952: the trailer counts modulo 2³², and only the last member. */
    private static function gzip(ByteSource $file): self
    {
        $tail = $file->read($file->size() - 4, 4);
        /** @var array{1: int} $size */
        $size = unpack('V', str_pad($tail, 4, "\0"));

        return new self(
            'gzip',
            null,
            'gzip says '.
                number_format($size[1], 0, '.', ' ').
                ' B, but counts only up to 4 GiB and only its last part',
        );
    }

    /** The .xz file format 1.2.0: footer, then the index it points to, stream by stream from the end. */
    private static function xz(ByteSource $file): self
    {
        $end = $file->size();
        $total = 0;
        for ($stream = 0; $end > 0; $stream++) {
            if ($stream >= self::MOST_STREAMS) {
                return new self('xz', null, 'it has more parts than are followed');
            }
            $footer = $file->read($end - 12, 12);
            if (substr($footer, 8) === "\0\0\0\0") {
                // Padding after a stream comes in fours.
                $end -= 4;

                continue;
            }
            $part = XzStream::endingAt($file, $end, $footer);
            if ($part->fault !== null) {
                return new self('xz', null, null, [$part->fault]);
            }
            $total += $part->expanded;
            $end = $part->startsAt;
        }
        if ($end !== 0) {
            return new self('xz', null, null, ['The parts of the xz file do not add up to its size.']);
        }

        return new self('xz', $total, null);
    }

    /** RFC 8878, 3.1.1.1: the frame states its content's size when the flags say so. */
    private static function zstd(string $start): self
    {
        $flags = ord($start[4] ?? "\0");
        $at = 5 + (($flags & 0x20) !== 0 ? 0 : 1) + [0, 1, 2, 4][$flags & 3];
        $field = str_pad(substr($start, $at, 8), 8, "\0");
        /** @var array{b: int, w: int, d: int, q: int} $v */
        $v = [
            'b' => ord($field[0]),
            ...(array) unpack('vw', $field),
            ...(array) unpack('Vd', $field),
            ...(array) unpack('Pq', $field),
        ];
        $size = match ($flags >> 6) {
            0 => ($flags & 0x20) !== 0 ? $v['b'] : null,
            1 => $v['w'] + 256,
            2 => $v['d'],
            default => $v['q'],
        };

        return $size === null || $size < 0
            ? new self('zstd', null, 'this zstd file does not tell how much comes out')
            : new self('zstd', $size, null);
    }

    /** APPNOTE 6.3: the end record, by zip64 where the fields are full; one member is an image, more are a folder. */
    private static function zip(ByteSource $file): self
    {
        $tailAt = max(0, $file->size() - 65_557);
        $tail = $file->read($tailAt, 65_557);
        $end = strrpos($tail, "PK\x05\x06");
        if ($end === false || strlen($tail) < $end + 22) {
            return new self('zip', null, null, ['The zip file has no end: it was cut off.']);
        }
        /** @var array{count: int, bytes: int, at: int} $d */
        $d = unpack('vcount/Vbytes/Vat', $tail, $end + 10);
        $locator = $end >= 20 ? substr($tail, $end - 20, 20) : '';
        if (str_starts_with($locator, "PK\x06\x07")) {
            /** @var array{at: int} $l */
            $l = unpack('Pat', $locator, 8);
            $record = $file->read($l['at'], 56);
            if (strlen($record) === 56 && str_starts_with($record, "PK\x06\x06")) {
                /** @var array{count: int, bytes: int, at: int} $d */
                $d = unpack('Pcount/Pbytes/Pat', $record, 32);
            }
        }
        $directory = $file->read($d['at'], max(0, min($d['bytes'], self::LARGEST_DIRECTORY)));
        $size = self::zipMember($directory);
        if ($size === null) {
            return new self('zip', null, null, ['The list of the zip file is damaged.'], max(0, $d['count']));
        }

        return new self(
            'zip',
            $d['count'] === 1 ? $size : null,
            $d['count'] === 1 ? null : "it holds {$d['count']} files",
            members: max(0, $d['count']),
        );
    }

    private static function zipMember(string $directory): ?int
    {
        if (! str_starts_with($directory, "PK\x01\x02") || strlen($directory) < 46) {
            return null;
        }
        /** @var array{size: int, name: int, extra: int} $m */
        $m = unpack('Vsize/vname/vextra', $directory, 24);
        if ($m['size'] !== 0xFFFF_FFFF) {
            return $m['size'];
        }
        $extra = substr($directory, 46 + $m['name'], $m['extra']);
        for ($at = 0; $at + 12 <= strlen($extra); $at += 4 + $field['length']) {
            /** @var array{id: int, length: int} $field */
            $field = unpack('vid/vlength', $extra, $at);
            if ($field['id'] === 1) {
                /** @var array{1: int} $size */
                $size = unpack('P', $extra, $at + 4);

                return $size[1] < 0 ? null : $size[1];
            }
        }

        return null;
    }
}
