<?php

declare(strict_types=1);

use Cobblestone\Tuning\Frames\Spread;

/** Part of Student's t between -x and x, by Simpson's rule over its density: nothing of the table is used. */
function between(float $x, int $freedom): float
{
    $gamma = static function (float $half): float {
        // Gamma at halves of whole numbers, by what it is one lower.
        for ($product = 1.0; $half > 1.0; $half -= 1.0) {
            $product *= $half - 1.0;
        }

        return $product * ($half === 1.0 ? 1.0 : sqrt(M_PI));
    };
    $scale = $gamma(($freedom + 1) / 2) / (sqrt($freedom * M_PI) * $gamma($freedom / 2));
    $density = static fn (float $t): float => $scale * (1 + $t * $t / $freedom) ** (-($freedom + 1) / 2);
    $steps = 4000;
    $width = $x / $steps;
    $sum = $density(0.0) + $density($x);
    for ($at = 1; $at < $steps; $at++) {
        $sum += ($at % 2 === 1 ? 4 : 2) * $density($at * $width);
    }

    return 2 * $sum * $width / 3;
}

/** As many figures as wanted about 10: pairs one above and one below, the odd one in the middle. */
function around(int $count): array
{
    $pairs = intdiv($count, 2);
    $figures = [...array_fill(0, $pairs, 9.0), ...array_fill(0, $pairs, 11.0)];

    return $count % 2 === 1 ? [...$figures, 10.0] : $figures;
}

test('the interval holds 95 % of the distribution, whatever the number of figures', function (int $count): void {
    $pairs = intdiv($count, 2);
    $error = sqrt(2 * $pairs / ($count - 1) / $count);
    $quantile = Spread::of(around($count))->half() / $error;

    expect(between($quantile, $count - 1))->toEqualWithDelta(0.95, 0.0002);
})->with([...range(2, 31), 32, 40, 61, 121, 160]);

test('one figure has no spread, and equal figures a spread of nothing', function (): void {
    expect(Spread::of([8.0])->half())->toBeNull()
        ->and(Spread::of([8.0])->count)->toBe(1)
        ->and(Spread::of([8.0])->halfOfDifference(Spread::of([7.0, 9.0])))->toBeNull()
        ->and(Spread::of([7.0, 9.0])->halfOfDifference(Spread::of([8.0])))->toBeNull()
        ->and(Spread::of([8.0, 8.0])->half())->toBe(0.0)
        ->and(Spread::of([8.0, 8.0])->halfOfDifference(Spread::of([7.0, 7.0])))->toBe(0.0);
});

test('two means: degrees of freedom by Welch, rounded down', function (): void {
    // Variances of the means 1 and 4 with 2 and 2 degrees: 25 / (1/2 + 16/2) = 2.94, so two degrees: 4.303.
    $a = Spread::of([10 - sqrt(3), 10.0, 10 + sqrt(3)]);
    $b = Spread::of([20 - sqrt(12), 20.0, 20 + sqrt(12)]);

    expect($a->mean)->toEqualWithDelta(10.0, 1e-9)
        ->and($a->halfOfDifference($b))->toEqualWithDelta(4.303 * sqrt(5), 1e-6)
        ->and($b->halfOfDifference($a))->toEqualWithDelta(4.303 * sqrt(5), 1e-6);

    // Two figures against two of no spread: one degree is left, and never none.
    expect(Spread::of([9.0, 11.0])->halfOfDifference(Spread::of([5.0, 5.0])))->toEqualWithDelta(12.706, 1e-6);
    // Two and five figures of one variance of the mean: 4 / (1/1 + 1/4) = 3.2, three degrees.
    $two = Spread::of([9.0, 11.0]);
    $five = Spread::of([-sqrt(5), -sqrt(5), 0.0, sqrt(5), sqrt(5)]);
    expect($two->halfOfDifference($five))->toEqualWithDelta(3.182 * sqrt(2), 1e-3);
});
