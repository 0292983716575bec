<?php

declare(strict_types=1);

namespace Cobblestone\Quantity;

/**
 * A size as a screen shows it: few digits, and units that mean powers of 1000 in one tool and of 1024 in another
 * (rule M1).
 */
final readonly class SizeSeen
{
    private const POWERS = ['k' => 1, 'm' => 2, 'g' => 3, 't' => 4, '' => 0];

    /** Share of a size that a tool rounds off at most. */
    private const ROUNDED = 0.035;

    /** @param  non-empty-list<array{0: float, 1: float}>  $ranges  bytes it may stand for, least and most */
    private function __construct(private array $ranges, public string $text)
    {
    }

    /** Null where it is no number with or without a unit of bytes. */
    public static function parse(string $text): ?self
    {
        $plain = strtolower(str_replace(["\u{a0}", ' ', '_', ','], ['', '', '', '.'], trim($text)));
        if (
            preg_match(
                '/^(?<digits>\d{1,20}(?:\.(?<part>\d{1,6}))?)(?<unit>[kmgt]?)(?<binary>i?)(?:b|bytes)?$/',
                $plain,
                $m,
            ) !== 1 ||
            ($m['unit'] === '' && $m['binary'] !== '')
        ) {
            return null;
        }
        if ($m['unit'] === '') {
            return $m['part'] !== '' ? null : new self([[(float) $m['digits'], (float) $m['digits']]], $text);
        }
        // A figure of few digits ("1 TB") is rounded far less than half of its last digit.
        $half = min(0.5 / 10 ** strlen($m['part']), self::ROUNDED * (float) $m['digits']);
        $ranges = [];
        foreach ($m['binary'] === 'i' ? [1024] : [1000, 1024] as $base) {
            $unit = $base ** self::POWERS[$m['unit']];
            // Some tools round, some cut: a whole last digit downwards, half of one upwards, is the same size.
            $ranges[] = [((float) $m['digits'] - $half) * $unit, ((float) $m['digits'] + 2 * $half) * $unit];
        }

        return new self($ranges, $text);
    }

    public function canBe(int $bytes): bool
    {
        foreach ($this->ranges as [$least, $most]) {
            if ($bytes >= floor($least) && $bytes <= ceil($most)) {
                return true;
            }
        }

        return false;
    }

    /** Whether it is the bytes themselves, and these. */
    public function isExactly(int $bytes): bool
    {
        return $this->ranges === [[(float) $bytes, (float) $bytes]];
    }

    /** Whether one of its readings is within that share of the bytes. */
    public function isNear(int $bytes, float $share): bool
    {
        return array_filter(
            $this->ranges,
            static fn (array $range): bool => $range[1] >= $bytes * (1 - $share) && $range[0] <= $bytes * (1 + $share),
        ) !== [];
    }

    /** Whether every reading of it is below that share of the bytes. */
    public function isClearlyLess(int $bytes, float $share = 0.99): bool
    {
        return array_filter($this->ranges, static fn (array $range): bool => $range[1] >= $bytes * $share) === [];
    }
}
