<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\SizeSeen;

/** Reads what was written down and compares it with what is expected (rule K3). */
final class EvidenceJudge
{
    public const TEXT_LIMIT = 4000;

    /** Words for a reading that was not made. */
    private const NOT_READ = ['-', '–', 'not read', 'none read'];

    /**
     * @param  array<string, array<string, string>>  $earlier  step => evidence => value, this step's own included
     */
    public static function judge(Evidence $wanted, string $value, array $earlier): Finding
    {
        $expected = $wanted->expected?->resolved($earlier);
        if (self::isLeftOpen($wanted, $value)) {
            return new Finding(
                $wanted,
                FindingVerdict::NotRead,
                '',
                $expected === null ? '' : self::spoken($wanted, $expected->value),
            );
        }
        if ($expected === null || $expected->value === '') {
            return new Finding($wanted, FindingVerdict::Noted, $value);
        }

        return match (true) {
            $wanted->kind->isNumber() => self::compared($wanted, $value, $expected),
            $wanted->kind === EvidenceKind::Tally => self::tally($wanted, $value, $expected),
            $wanted->kind === EvidenceKind::Ticks => self::ticks($wanted, $value, $expected),
            $wanted->kind === EvidenceKind::Serial => self::serial($wanted, $value, $expected),
            $wanted->kind === EvidenceKind::Size => self::size($wanted, $value, $expected),
            $wanted->kind === EvidenceKind::Rate => RateJudge::judge($wanted, $value, $expected),
            default => self::words($wanted, $value, $expected),
        };
    }

    public static function isLeftOpen(Evidence $wanted, string $value): bool
    {
        return $wanted->mayBeOpen && in_array(mb_strtolower($value), self::NOT_READ, true);
    }

    public static function number(string $value): ?int
    {
        $digits = str_replace([' ', '_', "\u{a0}", '%'], '', $value);

        return ctype_digit($digits) && strlen($digits) <= 18 ? (int) $digits : null;
    }

    private static function compared(Evidence $wanted, string $value, Expected $expected): Finding
    {
        [$is, $should] = [(int) self::number($value), (int) self::number($expected->value)];
        $off = $is - $should;
        $spoken = self::spoken($wanted, $expected->value);
        $verdict = match (true) {
            $off === 0 => FindingVerdict::Equal,
            $expected->atLeast && $off > 0, abs($off) <= $should * $expected->tolerance => FindingVerdict::Within,
            default => FindingVerdict::Differs,
        };
        $by = $wanted->kind === EvidenceKind::Build
            ? ($off < 0 ? 'an older one' : 'a newer one')
            : number_format(abs($off), 0, '.', ' ').($off < 0 ? ' less' : ' more');
        $words =
            $off === 0
                ? 'as expected'
                : self::spoken($wanted, (string) $is).
                    " read, {$spoken} expected ({$expected->source}): {$by}";

        return new Finding($wanted, $verdict, (string) $is, $spoken, $words);
    }

    private static function spoken(Evidence $wanted, string $value): string
    {
        $number = $wanted->kind->isNumber() ? self::number($value) : null;

        return match (true) {
            $number !== null && $wanted->kind === EvidenceKind::Bytes => Bytes::of($number)->exact(),
            $number !== null && $wanted->kind === EvidenceKind::Percent => "{$number} %",
            $number !== null && $wanted->kind === EvidenceKind::Build => (string) $number,
            $number !== null => number_format($number, 0, '.', ' '),
            $wanted->kind === EvidenceKind::Choice => $wanted->options[$value] ?? $value,
            $wanted->kind === EvidenceKind::Size => ctype_digit($value)
                ? Bytes::of((int) $value)->decimal().' or '.Bytes::of((int) $value)->binary()
                : $value,
            $wanted->kind === EvidenceKind::Serial => '',
            default => $value,
        };
    }

    /** A value of that kind, in words for a person: "512.1 GB (476.9 GiB)". */
    public static function said(Evidence $wanted, string $value): string
    {
        return $wanted->kind === EvidenceKind::Size && ctype_digit($value)
            ? Bytes::of((int) $value)->decimal().' ('.Bytes::of((int) $value)->binary().')'
            : self::spoken($wanted, $value);
    }

    private static function tally(Evidence $wanted, string $value, Expected $expected): Finding
    {
        [$is, $should] = [Tally::parse($value), Tally::parse($expected->value)];
        $differences =
            $is === null || $should === null ? ["{$value}, not {$expected->value}"] : $is->against($should);

        return new Finding(
            $wanted,
            $differences === [] ? FindingVerdict::Equal : FindingVerdict::Differs,
            $value,
            $expected->value,
            $differences === [] ? 'as expected' : implode('; ', $differences),
        );
    }

    private static function ticks(Evidence $wanted, string $value, Expected $expected): Finding
    {
        $missing = array_values(array_diff(self::items($expected->value), self::items($value)));

        return new Finding(
            $wanted,
            $missing === [] ? FindingVerdict::Equal : FindingVerdict::Differs,
            $value,
            $expected->value,
            $missing === [] ? 'all of it' : 'missing: '.implode(', ', $missing),
        );
    }

    /**
     * The things of a list as it was written down: "charger, bag; adapter".
     *
     * @return list<string>
     */
    public static function items(string $list): array
    {
        $items = array_map(
            static fn (string $item): string => trim($item, " \t.\"'"),
            preg_split('/[,;\n]+/u', $list) ?: [],
        );

        return array_values(
            array_unique(
                array_filter(
                    $items,
                    static fn (string $item): bool => ! in_array(
                        mb_strtolower($item),
                        ['', 'nothing', 'none', 'nothing else', '-'],
                        true,
                    ),
                ),
            ),
        );
    }

    private static function serial(Evidence $wanted, string $value, Expected $expected): Finding
    {
        $equal = Confirmation::isSerial($value, $expected->value);

        return new Finding(
            $wanted,
            $equal ? FindingVerdict::Equal : FindingVerdict::Differs,
            $equal ? 'as expected' : 'another one',
            '',
            $equal ? 'as expected' : 'not the serial of this drive',
        );
    }

    private static function size(Evidence $wanted, string $value, Expected $expected): Finding
    {
        $seen = SizeSeen::parse($value);
        $bytes = (int) $expected->value;
        $fits =
            $seen !== null &&
            match (true) {
                $expected->atLeast => ! $seen->isClearlyLess($bytes, 1.0),
                $expected->tolerance > 0 => $seen->isNear($bytes, $expected->tolerance),
                default => $seen->canBe($bytes),
            };
        $alike = array_keys(
            array_filter($expected->others, static fn (int $other): bool => $seen?->canBe($other) ?? false),
        );
        $words = match (true) {
            $fits && $alike === [] => 'as expected',
            $alike !== [] => ($fits ? 'it could as well be ' : 'it looks like ').implode(' or ', $alike),
            $expected->atLeast => 'less than '.self::spoken($wanted, $expected->value),
            $seen?->isClearlyLess($bytes) ?? false => 'clearly less than '.self::spoken($wanted, $expected->value),
            default => 'not '.self::spoken($wanted, $expected->value),
        };

        return new Finding(
            $wanted,
            match (true) {
                ! $fits || $alike !== [] => FindingVerdict::Differs,
                $seen->isExactly($bytes) => FindingVerdict::Equal,
                default => FindingVerdict::Within,
            },
            $value,
            self::spoken($wanted, $expected->value),
            $words,
        );
    }

    private static function words(Evidence $wanted, string $value, Expected $expected): Finding
    {
        $plain = static fn (string $text): string => mb_strtolower((string) preg_replace('/\s+/u', ' ', trim($text)));
        // A choice may have several answers that are right: "works|none".
        $right = $wanted->kind === EvidenceKind::Choice ? explode('|', $expected->value) : [$expected->value];
        $equal = in_array($plain($value), array_map($plain, $right), true);
        $spoken = implode(' or ', array_map(static fn (string $one): string => self::spoken($wanted, $one), $right));

        return new Finding(
            $wanted,
            $equal ? FindingVerdict::Equal : FindingVerdict::Differs,
            self::spoken($wanted, $value),
            $spoken,
            $equal
                ? 'as expected'
                : '"'.
                    mb_substr(self::spoken($wanted, $value), 0, 80).
                    "\" read, \"{$spoken}\" expected ({$expected->source})",
        );
    }
}
