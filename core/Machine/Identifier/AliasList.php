<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Identifier;

/**
 * What drivers a system has by itself, as a list of patterns in the form of `modules.alias`: a line is
 * "alias PATTERN MODULE", or the pattern alone. Whether it brings a driver is an answer about one device (rule D2).
 */
final class AliasList
{
    private const BUSES = ['pci', 'usb', 'hdaudio', 'acpi'];

    /** @var array<string, list<string>>|null bus, vendor and device where the pattern says them => patterns */
    private ?array $patterns = null;

    /** @param  list<string>  $lines */
    public function __construct(private readonly array $lines = [])
    {
    }

    public function brings(HardwareIdentifier $identifier): bool
    {
        $this->patterns ??= $this->byName();
        $alias = strtolower(AliasForm::of($identifier));
        $keys = array_unique([self::key($alias), self::vendorKey($alias), self::busKey($alias)]);
        foreach ($keys as $key) {
            foreach ($this->patterns[$key] ?? [] as $pattern) {
                if (fnmatch($pattern, $alias, FNM_NOESCAPE)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<string> the lines, as they were given */
    public function toArray(): array
    {
        return $this->lines;
    }

    /** @return array<string, list<string>> */
    private function byName(): array
    {
        $patterns = [];
        foreach ($this->lines as $line) {
            $pattern = self::pattern($line);
            if ($pattern !== null) {
                $pattern = strtolower($pattern);
                $patterns[self::key($pattern)][] = $pattern;
            }
        }

        return $patterns;
    }

    /** What a line says, without the word before it and the module behind it; null where it says nothing. */
    public static function pattern(string $line): ?string
    {
        $line = trim($line);
        if ($line === '' || $line[0] === '#') {
            return null;
        }
        if (strncmp($line, 'alias ', 6) === 0 || strncmp($line, "alias\t", 6) === 0) {
            $line = ltrim(substr($line, 6));
        }

        return substr($line, 0, strcspn($line, " \t"));
    }

    /** Whether the pattern is about a bus that devices are named by here; others are about what nobody reads. */
    public static function isOfDevice(string $pattern): bool
    {
        return in_array(self::busKey(strtolower($pattern)), self::BUSES, true);
    }

    /** Under what a pattern is kept and an alias is looked for: as much as is written without a wild card. */
    private static function key(string $text): string
    {
        // A list of a system has tens of thousands of these: no expression is tried on them.
        if (strncmp($text, 'pci:v0000', 9) === 0 && ($text[13] ?? '') === 'd') {
            $vendor = substr($text, 9, 4);
            $device = substr($text, 18, 4);
            if (ctype_xdigit($vendor) && strlen($device) === 4 && ctype_xdigit($device)
                && substr($text, 14, 4) === '0000') {
                return substr($text, 0, 22);
            }
        }
        $named = '/^(?:usb:v[0-9a-f]{4}p[0-9a-f]{4}|hdaudio:v[0-9a-f]{8}|acpi:[a-z0-9]{7,8}(?=:))/';

        return preg_match($named, $text, $key) === 1 ? $key[0] : self::vendorKey($text);
    }

    private static function vendorKey(string $text): string
    {
        return preg_match('/^(?:pci:v0000[0-9a-f]{4}|usb:v[0-9a-f]{4})(?=[dp])/', $text, $key) === 1
            ? $key[0]
            : self::busKey($text);
    }

    /** The kernel's own lists write a wild card behind some buses: "acpi*:". */
    private static function busKey(string $text): string
    {
        return rtrim((string) strstr($text.':', ':', true), '*');
    }
}
