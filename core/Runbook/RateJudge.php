<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Quantity\RateSeen;

/** Compares a memory rate; half of what is expected is the clock, where its unit says so (rules F4, T1). */
final class RateJudge
{
    public static function judge(Evidence $wanted, string $value, Expected $expected): Finding
    {
        $seen = RateSeen::parse($value);
        $rate = (int) RateSeen::parse($expected->value)?->figure;
        $spoken = self::spoken($rate);
        [$verdict, $words] = $seen === null
            ? [FindingVerdict::Differs, "\"{$value}\" is no rate, {$spoken} expected ({$expected->source})"]
            : self::compared($seen, $rate, $expected);

        return new Finding($wanted, $verdict, $value, $spoken, $words);
    }

    /** @return array{FindingVerdict, string} */
    private static function compared(RateSeen $seen, int $rate, Expected $expected): array
    {
        $spoken = self::spoken($rate);
        $near = $seen->isNear($rate, $expected->tolerance);
        $half = $seen->isHalf($rate, $expected->tolerance);

        return match (true) {
            $seen->figure === $rate => [FindingVerdict::Equal, 'as expected'],
            $near => [FindingVerdict::Within, "{$seen->figure} read, {$spoken} expected ({$expected->source})"],
            $half && $seen->isMegahertz => [
                FindingVerdict::Within,
                "{$seen->figure} MHz is the clock: the rate is twice that",
            ],
            $half => [
                FindingVerdict::Differs,
                "{$seen->figure} is half of {$spoken}: where the tool shows the clock, write it in MHz; where it "
                    .'shows the rate, the memory runs at half of it',
            ],
            default => [
                FindingVerdict::Differs,
                self::spoken($seen->figure)." read, {$spoken} expected ({$expected->source})",
            ],
        };
    }

    private static function spoken(int $rate): string
    {
        return number_format($rate, 0, '.', ' ').' MT/s';
    }
}
