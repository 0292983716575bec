<?php

namespace App\Devices\Build;

/** A stick that was written and read back, byte for byte. */
final readonly class BuildResult
{
    /**
     * @param  array<string, string>  $sums  path => SHA-256; for a stick written raw the image's name => SHA-256
     * @param  list<array{kind: string, message: string, next: string}>  $attempts  what failed before
     */
    public function __construct(
        public array $sums,
        public ?string $label,
        public float $writeSeconds,
        public float $verifySeconds,
        public int $bytes,
        public array $attempts,
        public string $fingerprint,
    ) {
    }

    /** In the form that sha256sum reads. */
    public function sha256sums(): string
    {
        // As sha256sum writes a name with a backslash or a line end in it: escaped, and said so by the line's first
        // sign.
        $line = static function (string $path, string $sum): string {
            $escaped = strtr($path, ['\\' => '\\\\', "\n" => '\\n', "\r" => '\\r']);

            return ($escaped === $path ? '' : '\\')."{$sum}  {$escaped}\n";
        };

        return implode(
            '',
            array_map(
                static fn (string|int $path, string $sum): string => $line((string) $path, $sum),
                array_keys($this->sums),
                $this->sums,
            ),
        );
    }
}
