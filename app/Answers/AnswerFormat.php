<?php

declare(strict_types=1);

namespace App\Answers;

use DOMDocument;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** How a value is written in each format of an answer file, and whether a text is a file of it. */
final class AnswerFormat
{
    /** A word that has a value behind it, where no answer file may have one: secrets stay with their owner. */
    private const SECRET = '/(?:password|passphrase|secret|pin|(?:product|licen[cs]e|recovery)[-_ ]?key)["\']?'
        .'\s*[:=>]\s*'
        .'["\']?(?!true|false|yes|no|ask|owner)[A-Za-z0-9+\/]{4,}/i';

    public static function escape(string $value, string $format): string
    {
        $plain = (string) preg_replace('/[\x00-\x1f\x7f]+/', ' ', $value);

        return match ($format) {
            'xml' => htmlspecialchars($plain, ENT_XML1 | ENT_QUOTES | ENT_SUBSTITUTE, 'UTF-8'),
            'ini' => str_replace(['"', '\\', ';', '$'], ['', '', '', ''], $plain),
            // Between double quotation marks YAML reads what JSON does.
            default => substr(
                json_encode($plain, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE)
                    ?: '""',
                1,
                -1,
            ),
        };
    }

    /** @throws AnswerFault with the line where it is none */
    public static function check(string $text, string $format): void
    {
        $fault = match ($format) {
            'xml' => self::xml($text),
            'yaml' => self::yaml($text),
            'json' => json_decode($text) === null ? 'it is no JSON: '.json_last_error_msg() : null,
            default => @parse_ini_string($text, true, INI_SCANNER_RAW) === false
                ? 'it is no INI file: a line is neither a section nor a key and its value'
                : null,
        };
        if ($fault === null && preg_match(self::SECRET, $text, $found) === 1) {
            $fault = 'it would carry something secret: "'.mb_substr($found[0], 0, 24).'…"';
        }
        if ($fault !== null) {
            throw new AnswerFault("The file is not one that an installer could read: {$fault}.");
        }
    }

    private static function xml(string $text): ?string
    {
        if (stripos($text, '<!doctype') !== false || stripos($text, '<!entity') !== false) {
            return 'it defines words of its own (DOCTYPE), which it may not';
        }
        $before = libxml_use_internal_errors(true);
        try {
            $read = (new DOMDocument())->loadXML($text, LIBXML_NONET);
            $error = libxml_get_errors()[0] ?? null;

            return $read && $error === null
                ? null
                : 'line '.($error->line ?? 1).': '.trim($error->message ?? 'it is no XML');
        } finally {
            libxml_clear_errors();
            libxml_use_internal_errors($before);
        }
    }

    private static function yaml(string $text): ?string
    {
        try {
            return is_array(Yaml::parse($text, Yaml::PARSE_EXCEPTION_ON_INVALID_TYPE))
                ? null
                : 'it holds no keys and values';
        } catch (ParseException $e) {
            return 'line '.$e->getParsedLine().': '.rtrim($e->getMessage(), '.');
        }
    }
}
