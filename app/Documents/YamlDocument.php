<?php

namespace App\Documents;

use DateTimeInterface;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/**
 * Reads untrusted YAML, or the JSON that it may be written as, within limits: no aliases, no objects, no tags, dates
 * as text.
 */
final class YamlDocument
{
    public const LIMIT = 3_000_000;

    /** Aliases can make a small file expand without end, and no document of ours needs them. */
    private const FLAGS =
        Yaml::PARSE_EXCEPTION_ON_INVALID_TYPE | Yaml::PARSE_DATETIME | Yaml::PARSE_EXCEPTION_ON_ALIAS;

    private const JSON =
        JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_PRETTY_PRINT;

    private const DEPTH = 40;

    private const NODES = 100_000;

    /**
     * @return array<string, mixed>
     *
     * @throws DocumentFault
     */
    public static function fromFile(string $path, int $limit = self::LIMIT): array
    {
        if (! is_file($path) || ! is_readable($path)) {
            throw DocumentFault::unreadable($path);
        }
        $bytes = (int) filesize($path);
        if ($bytes > $limit) {
            throw DocumentFault::tooLarge($path, $bytes, $limit);
        }

        return self::parse((string) file_get_contents($path), $path, $limit);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws DocumentFault
     */
    public static function parse(string $text, string $name, int $limit = self::LIMIT): array
    {
        if (strlen($text) > $limit) {
            throw DocumentFault::tooLarge($name, strlen($text), $limit);
        }
        if (! mb_check_encoding($text, 'UTF-8') || str_contains($text, "\0")) {
            throw DocumentFault::notText($name);
        }
        try {
            // What begins as an object in JSON and is one, is that; all other text is the YAML parser's to judge.
            $data = str_starts_with($text, '{') ? json_decode($text, true, self::DEPTH + 2) : null;
            $data ??= Yaml::parse($text, self::FLAGS);
        } catch (ParseException $e) {
            throw DocumentFault::notYaml(
                $name,
                max(1, $e->getParsedLine()),
                preg_replace('/ at line \d+.*$/s', '', $e->getMessage()).'.',
            );
        }
        if (! is_array($data) || array_is_list($data)) {
            throw DocumentFault::notABlock($name);
        }

        $nodes = 0;

        return self::plain($data, $name, $nodes);
    }

    /**
     * A document as text that reads back as exactly what was given: YAML, or JSON where YAML would lose something.
     *
     * @param  array<string, mixed>  $document
     *
     * @throws DocumentFault where no text of it would open again
     */
    public static function text(array $document, string $name): string
    {
        $json = (string) json_encode($document, self::JSON);
        foreach (
            [
                static fn (): string => Yaml::dump($document, 5, 2, Yaml::DUMP_MULTI_LINE_LITERAL_BLOCK),
                static fn (): string => $json,
            ] as $written
        ) {
            try {
                $text = $written();
                if (json_encode(self::parse($text, $name), self::JSON) === $json) {
                    return $text;
                }
            } catch (DocumentFault $fault) {
                // The next way of writing may do; what no way can write is refused below.
            }
        }
        throw $fault ?? DocumentFault::notKept($name);
    }

    /**
     * @param  array<mixed>  $data
     * @return array<mixed>
     */
    private static function plain(array $data, string $name, int &$nodes, int $depth = 0): array
    {
        if ($depth > self::DEPTH) {
            throw DocumentFault::of(["{$name}: nested deeper than ".self::DEPTH.' levels.']);
        }
        $nodes += count($data);
        if ($nodes > self::NODES) {
            throw DocumentFault::of(["{$name}: more than ".number_format(self::NODES, 0, '.', ' ').' values.']);
        }
        foreach ($data as $key => $value) {
            if ($value instanceof DateTimeInterface) {
                $data[$key] = $value->format(
                    $value->format('His') === '000000'
                        ? 'Y-m-d'
                        : ($value->getOffset() === 0
                            ? 'Y-m-d\TH:i'
                            : 'Y-m-d\TH:iP'),
                );
            } elseif (is_array($value)) {
                $data[$key] = self::plain($value, $name, $nodes, $depth + 1);
            }
        }

        return $data;
    }
}
