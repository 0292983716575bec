<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

/**
 * A boot loader as a PE file: machine type, whether it is whole, its signature and the digest that the signature states
 * (PE format specification; Authenticode digest; rule M2).
 */
final readonly class PeImage
{
    public const MACHINES = [
        0x014C => 'x86-32',
        0x8664 => 'x86-64',
        0x01C0 => 'arm-32',
        0x01C2 => 'arm-32',
        0x01C4 => 'arm-32',
        0xAA64 => 'arm-64',
        0x5064 => 'riscv-64',
        0x6264 => 'loongarch-64',
    ];

    private const PE32_PLUS = 0x20B;

    private const PE32 = 0x10B;

    private const SECURITY_DIRECTORY = 4;

    private const EFI_SUBSYSTEMS = [10, 11, 12, 13];

    private const MOST_SECTIONS = 96;

    private const MOST_SIGNATURES = 8;

    /** DER of the object identifier under which the signed content states the digest, and of SHA-256. */
    private const INDIRECT_DATA = "\x06\x0A\x2B\x06\x01\x04\x01\x82\x37\x02\x01\x04";

    private const SHA256 = "\x06\x09\x60\x86\x48\x01\x65\x03\x04\x02\x01";

    /**
     * @param  int  $whole  bytes the file must have for every section to be there
     * @param  array<string, array{at: int, bytes: int}>  $sections
     */
    private function __construct(
        private string $bytes,
        public ?string $architecture,
        public int $machine,
        public bool $isEfi,
        public int $whole,
        private int $optional,
        private int $directories,
        private int $headers,
        private int $signatureAt,
        private int $signatureBytes,
        public array $sections,
    ) {
    }

    /** Null where the bytes are no PE file: firmware then takes the loader for missing (rule B). */
    public static function read(string $bytes): ?self
    {
        if (strlen($bytes) < 64 || ! str_starts_with($bytes, 'MZ')) {
            return null;
        }
        $pe = self::number('V', $bytes, 60);
        if ($pe < 4 || substr($bytes, $pe, 4) !== "PE\0\0" || strlen($bytes) < $pe + 24 + 96) {
            return null;
        }
        /** @var array{machine: int, sections: int, optional: int} $coff */
        $coff = unpack('vmachine/vsections/x12/voptional', $bytes, $pe + 4);
        $optional = $pe + 24;
        $magic = self::number('v', $bytes, $optional);
        if (! in_array($magic, [self::PE32, self::PE32_PLUS], true) || $coff['sections'] > self::MOST_SECTIONS) {
            return null;
        }
        $directories = $optional + ($magic === self::PE32_PLUS ? 112 : 96);

        return self::signatures($bytes, $directories, $optional, $coff, $pe);
    }

    /**
     * @param  array<string, int>  $coff
     */
    private static function signatures(string $bytes, int $directories, int $optional, array $coff, int $pe): self
    {
        $hasSecurity =
            self::number('V', $bytes, $directories - 4) > self::SECURITY_DIRECTORY &&
            strlen($bytes) >= $directories + 40;
        $security = $directories + 8 * self::SECURITY_DIRECTORY;
        $headers = self::number('V', $bytes, $optional + 60);
        $sections = self::sections(
            $bytes,
            $optional + $coff['optional'],
            $coff['sections'],
            self::number('V', $bytes, $pe + 12) + 18 * self::number('V', $bytes, $pe + 16),
        );
        $whole = max([
            $headers,
            ...array_map(static fn (array $s): int => $s['at'] + $s['bytes'], array_values($sections)),
        ]);
        [$at, $length] = $hasSecurity
            ? [self::number('V', $bytes, $security), self::number('V', $bytes, $security + 4)]
            : [0, 0];

        return new self(
            $bytes,
            self::MACHINES[$coff['machine']] ?? null,
            $coff['machine'],
            in_array(self::number('v', $bytes, $optional + 68), self::EFI_SUBSYSTEMS, true),
            $at > 0 ? max($whole, $at + $length) : $whole,
            $optional,
            $hasSecurity ? $security : 0,
            $headers,
            $at,
            $length,
            $sections,
        );
    }

    /** Whether every section, and the signature, is really in the file. */
    public function isWhole(): bool
    {
        return strlen($this->bytes) >= $this->whole && $this->headers > 0;
    }

    public function isSigned(): bool
    {
        return $this->signatureAt > 0 && $this->signatureBytes > 8;
    }

    /** What stands in one of the file's sections. */
    public function section(string $name): ?string
    {
        return isset($this->sections[$name])
            ? substr($this->bytes, $this->sections[$name]['at'], $this->sections[$name]['bytes'])
            : null;
    }

    /** The first signature as it is attached, PKCS #7 in DER; empty where there is none. */
    public function signature(): string
    {
        return $this->isSigned()
            ? substr($this->bytes, $this->signatureAt + 8, max(0, $this->signatureBytes - 8))
            : '';
    }

    /**
     * The file with one of its signatures at a time, so that each is judged for itself (PE format specification,
     * attribute certificate table: each entry begins on a multiple of eight bytes with its own length).
     *
     * @return list<string> empty where it carries none
     */
    public function singly(): array
    {
        $files = [];
        $at = $this->signatureAt;
        $end = $this->isSigned() ? $at + $this->signatureBytes : 0;
        while ($at + 8 < $end && count($files) < self::MOST_SIGNATURES) {
            $length = self::number('V', $this->bytes, $at);
            if ($length <= 8 || $at + $length > $end) {
                break;
            }
            $entry = str_pad(substr($this->bytes, $at, $length), ($length + 7) & ~7, "\0");
            $files[] = substr_replace(
                substr($this->bytes, 0, $this->signatureAt),
                pack('V', strlen($entry)),
                $this->directories + 4,
                4,
            ).$entry;
            $at += ($length + 7) & ~7;
        }

        return $files;
    }

    /** SHA-256 of the file without its checksum, the place of its signature and the signature, in hexadecimal. */
    public function digest(): string
    {
        $hash = hash_init('sha256');
        hash_update($hash, substr($this->bytes, 0, $this->optional + 64));
        $from = $this->optional + 68;
        if ($this->directories > 0) {
            hash_update($hash, substr($this->bytes, $from, max(0, $this->directories - $from)));
            $from = $this->directories + 8;
        }
        hash_update($hash, substr($this->bytes, $from, max(0, $this->headers - $from)));
        $hashed = $this->headers;
        $sections = $this->sections;
        uasort($sections, static fn (array $a, array $b): int => $a['at'] <=> $b['at']);
        foreach ($sections as $section) {
            if ($section['bytes'] > 0) {
                hash_update($hash, substr($this->bytes, $section['at'], $section['bytes']));
                $hashed += $section['bytes'];
            }
        }
        $end = strlen($this->bytes) - ($this->isSigned() ? $this->signatureBytes : 0);
        if ($end > $hashed) {
            hash_update($hash, substr($this->bytes, $hashed, $end - $hashed));
        }

        return hash_final($hash);
    }

    /** The digest that the signature was made over; null where there is none, or none by SHA-256. */
    public function statedDigest(): ?string
    {
        $signature = $this->isSigned() ? substr($this->bytes, $this->signatureAt, $this->signatureBytes) : '';
        $content = strpos($signature, self::INDIRECT_DATA);
        $algorithm = $content === false ? false : strpos($signature, self::SHA256, $content);
        if ($algorithm === false) {
            return null;
        }
        $after = substr($signature, $algorithm + strlen(self::SHA256), 36);
        $after = str_starts_with($after, "\x05\x00") ? substr($after, 2) : $after;

        return str_starts_with($after, "\x04\x20") && strlen($after) >= 34 ? bin2hex(substr($after, 2, 32)) : null;
    }

    /**
     * @param  int  $strings  where the table of long names begins, behind the symbols
     * @return array<string, array{at: int, bytes: int}>
     */
    private static function sections(string $bytes, int $at, int $count, int $strings): array
    {
        $sections = [];
        for ($i = 0; $i < $count && $at + 40 <= strlen($bytes); $i++, $at += 40) {
            $name = rtrim(substr($bytes, $at, 8), "\0");
            if (preg_match('#^/([0-9]{1,7})$#', $name, $place) === 1) {
                $long = explode("\0", substr($bytes, $strings + (int) $place[1], 64))[0];
                $name = $long === '' ? $name : $long;
            }
            $sections[isset($sections[$name]) ? "{$name}#{$i}" : $name] = [
                'at' => self::number('V', $bytes, $at + 20),
                'bytes' => self::number('V', $bytes, $at + 16),
            ];
        }

        return $sections;
    }

    private static function number(string $format, string $bytes, int $at): int
    {
        /** @var array{1: int} $value */
        $value = unpack($format, str_pad(substr($bytes, $at, 4), 4, "\0"));

        return $value[1];
    }
}
