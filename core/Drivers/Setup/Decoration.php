<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Setup;

/**
 * For which systems a section of models is, as the end of its name says it: "NTamd64", "NTarm64.10.0...26100". What is
 * not said is not bounded.
 */
final readonly class Decoration
{
    private const ARCHITECTURES = ['amd64' => 'x86-64', 'x86' => 'x86-32', 'arm64' => 'arm-64'];

    private function __construct(
        public string $text,
        public ?string $architecture,
        public ?int $fromBuild,
        public bool $isKnown,
    ) {
    }

    public static function none(): self
    {
        return new self('', null, null, true);
    }

    public static function of(string $text): self
    {
        $parts = explode('.', strtolower(trim($text)));
        $processor = str_starts_with($parts[0], 'nt') ? substr($parts[0], 2) : $parts[0];
        $build = count($parts) > 5 && ctype_digit($parts[5]) ? (int) $parts[5] : null;

        return new self(
            trim($text),
            self::ARCHITECTURES[$processor] ?? null,
            $build,
            $processor === '' || isset(self::ARCHITECTURES[$processor]),
        );
    }
}
