<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

use Cobblestone\Storage\Reading\ByteSource;

/** One stream of an .xz file, found from its end: the footer, then the index it points to (.xz format 1.2.0). */
final readonly class XzStream
{
    private const LARGEST_INDEX = 4_194_304;

    /** Bytes of the header at the start of a stream, and of the footer at its end. */
    private const EDGE = 12;

    /**
     * @param  int  $startsAt  byte of the file at which it starts
     * @param  int  $expanded  bytes that come out of it
     */
    private function __construct(public int $startsAt, public int $expanded, public ?string $fault = null)
    {
    }

    /** @param  string  $footer  the 12 bytes before the end */
    public static function endingAt(ByteSource $file, int $end, string $footer): self
    {
        /** @var array{crc: int, size: int} $foot */
        $foot = unpack('Vcrc/Vsize', str_pad($footer, 8, "\0"));
        $bytes = ($foot['size'] + 1) * 4;
        $whole = substr($footer, 10) === 'YZ' && crc32(substr($footer, 4, 6)) === $foot['crc'];
        if (! $whole || $bytes > $end - 2 * self::EDGE) {
            return new self(0, 0, 'The end of the file is not the end of an xz file: it was cut off or altered.');
        }
        $index = $file->read($end - self::EDGE - $bytes, min($bytes, self::LARGEST_INDEX));
        $sizes = self::index($index, strlen($index) === $bytes);

        return $sizes === null
            ? new self(0, 0, 'The index of the xz file is damaged.')
            : new self($end - self::EDGE - $bytes - $sizes[0] - self::EDGE, $sizes[1]);
    }

    /** @return array{int, int}|null bytes of all blocks as stored, and expanded */
    private static function index(string $index, bool $whole): ?array
    {
        $at = 1;
        $count = $whole && $index !== '' && $index[0] === "\0" ? self::varint($index, $at) : null;
        $stored = $expanded = 0;
        for ($i = 0; $i < (int) $count; $i++) {
            [$unpadded, $size] = [self::varint($index, $at), self::varint($index, $at)];
            if (
                $unpadded === null ||
                $size === null ||
                $expanded > PHP_INT_MAX - $size ||
                $unpadded > PHP_INT_MAX >> 8
            ) {
                return null;
            }
            $stored += intdiv($unpadded + 3, 4) * 4;
            $expanded += $size;
            if ($stored > PHP_INT_MAX >> 8) {
                return null;
            }
        }

        /** @var array{1: int} $crc */
        $crc = unpack('V', str_pad(substr($index, -4), 4, "\0"));

        return $count === null || crc32(substr($index, 0, -4)) !== $crc[1] ? null : [$stored, $expanded];
    }

    private static function varint(string $bytes, int &$at): ?int
    {
        $value = 0;
        for ($i = 0; $i < 9; $i++) {
            if (! isset($bytes[$at])) {
                return null;
            }
            $byte = ord($bytes[$at++]);
            $value |= ($byte & 0x7F) << (7 * $i);
            if (($byte & 0x80) === 0) {
                return $value;
            }
        }

        return null;
    }
}
