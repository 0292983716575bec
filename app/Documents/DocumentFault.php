<?php

namespace App\Documents;

use RuntimeException;

/** A YAML document that cannot be used; says where and why. */
final class DocumentFault extends RuntimeException
{
    /** @param  list<string>  $faults one sentence each */
    private function __construct(public readonly array $faults)
    {
        parent::__construct(implode("\n", $faults));
    }

    public static function unreadable(string $name): self
    {
        return new self(["{$name}: the file is not there or cannot be read."]);
    }

    public static function tooLarge(string $name, int $bytes, int $limit): self
    {
        return new self([
            sprintf(
                '%s: %.1f MB is more than a document of this kind may have (%.1f MB).',
                $name,
                $bytes / 1e6,
                $limit / 1e6,
            ),
        ]);
    }

    public static function notText(string $name): self
    {
        return new self(["{$name}: this is not text in UTF-8."]);
    }

    public static function notYaml(string $name, int $line, string $reason): self
    {
        return new self(["{$name}, line {$line}: {$reason}"]);
    }

    public static function notABlock(string $name): self
    {
        return new self(["{$name}: a document with named fields is wanted, such as \"name: …\"."]);
    }

    public static function notKept(string $name): self
    {
        return new self([
            "{$name}: this text cannot be kept exactly as it was typed. Nothing was changed; type it again without "
                .'unusual signs.',
        ]);
    }

    /** @param  list<string>  $faults */
    public static function of(array $faults): self
    {
        return new self($faults);
    }
}
