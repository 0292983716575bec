<?php

declare(strict_types=1);

namespace Cobblestone\Media;

/** A volume label FAT accepts (rule M15). */
final class FatLabel
{
    public const LENGTH = 11;

    private const FORBIDDEN = '"*+,./:;<=>?[\\]|';

    private const LETTERS = [
        'Ä' => 'AE',
        'Ö' => 'OE',
        'Ü' => 'UE',
        'ß' => 'SS',
        'ẞ' => 'SS',
        'Æ' => 'AE',
        'Ø' => 'O',
        'Å' => 'A',
        'Œ' => 'OE',
        'Þ' => 'TH',
        'Ð' => 'D',
        'Ł' => 'L',
    ];

    /**
     * Upper-case, transliterated, trailing digits kept, at most 11 characters, unlike the others.
     *
     * @param  list<string>  $taken  labels that other sticks on the shelf carry
     */
    public static function of(string $wish, array $taken = []): string
    {
        $text = strtr(mb_strtoupper($wish), self::LETTERS);
        $text = (string) preg_replace('/\p{Mn}+/u', '', (string) \Normalizer::normalize($text, \Normalizer::FORM_D));
        $text = (string) preg_replace('/[^\x20-\x7E]|['.preg_quote(self::FORBIDDEN, '/').']/u', '', $text);
        $text = trim((string) preg_replace('/ +/', ' ', $text));
        if ($text === '') {
            $text = 'STICK';
        }
        $label = self::shorten($text, self::LENGTH);
        for ($i = 2; in_array($label, $taken, true); $i++) {
            $label = rtrim(substr($text, 0, self::LENGTH - strlen((string) $i) - 1)).'-'.$i;
        }

        return $label;
    }

    private static function shorten(string $text, int $length): string
    {
        if (strlen($text) <= $length) {
            return $text;
        }
        preg_match('/ ?([0-9]{1,6})$/', $text, $digits);
        $tail = $digits[1] ?? '';

        return rtrim(substr($text, 0, $length - strlen($tail))).$tail;
    }
}
