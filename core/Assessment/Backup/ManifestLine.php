<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Backup;

/** One line of a list of files, as `sha256sum`, `find -printf '%s\t%p\n'` or a plain list writes it. */
final readonly class ManifestLine
{
    private const SUM = '/^(\\\\?)([0-9a-f]{64}) [ *](.+)$/i';

    /** Only a tab surely ends a size: "2019 regatta.jpg" is a name, unless every line begins with a number. */
    private const SIZE_TAB = '/^([0-9]{1,18})\t(.+)$/';

    private const SIZE_SPACE = '/^ *([0-9]{1,18}) +(.+)$/';

    private function __construct(public string $path, public ?string $hash, public ?int $bytes)
    {
    }

    public static function isNothing(string $line): bool
    {
        return trim($line) === '' || $line[0] === '#';
    }

    /**
     * Whether the line, were it one with a size, has a space behind it; null where it has a checksum and does not
     * count.
     */
    public static function hasSpacedSize(string $line): ?bool
    {
        return preg_match('/^\\\\?[0-9a-f]{64} /i', $line) === 1
            ? null
            : preg_match('/^ *[0-9]{1,18} +\S/', $line) === 1;
    }

    /** Null where the line is none of these. */
    public static function read(string $line, bool $spaced): ?self
    {
        if (preg_match(self::SUM, $line, $match) === 1) {
            $path = $match[1] === '' ? $match[3] : strtr($match[3], ['\\\\' => '\\', '\\n' => "\n", '\\r' => "\r"]);

            return new self(self::plain($path), strtolower($match[2]), null);
        }
        if (preg_match($spaced ? self::SIZE_SPACE : self::SIZE_TAB, $line, $match) === 1) {
            return new self(self::plain($match[2]), null, (int) $match[1]);
        }
        if (preg_match('/^[0-9a-f]{32,128}\s/i', $line) === 1 || str_starts_with($line, 'sha256sum: ')) {
            return null;
        }

        return new self(self::plain($line), null, null);
    }

    /** "./pictures//a.jpg" and "pictures/a.jpg" are the same file. */
    private static function plain(string $path): string
    {
        $path = (string) preg_replace('#/{2,}#', '/', str_replace('\\', '/', $path));

        return (string) preg_replace('#^(\./)+#', '', $path);
    }
}
