<?php

namespace App\Devices;

/** One header of a tar archive: POSIX.1-1988 (ustar) with the long names of POSIX.1-2001 and of common practice. */
final readonly class TarHeader
{
    public const BLOCK = 512;

    private function __construct(public string $path, public string $type, public int $bytes)
    {
    }

    /** Null where it is none: its checksum or its size are no numbers. */
    public static function read(string $block): ?self
    {
        $field = static fn (int $at, int $length): string => rtrim(substr($block, $at, $length), "\0 ");
        if (! ctype_xdigit($field(148, 6)) || preg_match('/^[0-7]*$/', $field(124, 12)) !== 1) {
            return null;
        }
        $folder = $field(257, 5) === 'ustar' && $field(345, 155) !== '' ? $field(345, 155).'/' : '';

        return new self($folder.$field(0, 100), $block[156], (int) octdec($field(124, 12)));
    }

    /** Bytes that its contents take in the archive. */
    public function padded(): int
    {
        return intdiv($this->bytes + self::BLOCK - 1, self::BLOCK) * self::BLOCK;
    }

    /** The path of the member that follows, from a header of type L or x; null where it names none. */
    public static function longPath(string $type, string $contents): ?string
    {
        if ($type === 'L') {
            return rtrim($contents, "\0");
        }

        return preg_match('/^[0-9]+ path=(.*)$/m', $contents, $match) === 1 ? $match[1] : null;
    }
}
