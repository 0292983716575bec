<?php

use Cobblestone\Machine\Model\PowerLimits;
use Cobblestone\Tuning\Power\BatteryLife;
use Cobblestone\Tuning\Power\Drain;
use Cobblestone\Tuning\Power\Draw;

it('lasts for what can be used over what is drawn', function () {
    // 40 Wh, 90 % left, charged to 80 %, asleep at 5 %: 27 Wh. At 15 W: 5 + 15 × 0.8 = 17 W.
    $life = BatteryLife::of(Draw::given(5, 0.8), 40, 0.9, 0.8, 0.05);
    expect(round($life->usableWh(), 6))->toBe(27.0)
        ->and(round($life->hours(15), 4))->toBe(round(27 / 17, 4))
        ->and(round((float) $life->limitFor(3), 4))->toBe(5.0)
        ->and($life->limitFor(5.4))->toBeNull()
        ->and($life->limitFor(6))->toBeNull();
});

it('lasts longer at a lower limit, and the highest limit for some hours gives just these', function (int $seed) {
    mt_srand($seed);
    $draw = Draw::given(mt_rand(0, 100) / 10, mt_rand(20, 120) / 100);
    $life = BatteryLife::of($draw, mt_rand(20, 90), mt_rand(50, 100) / 100, mt_rand(60, 100) / 100);
    $last = INF;
    foreach ([4, 8, 15, 30, 60] as $limit) {
        expect($life->hours($limit))->toBeLessThan($last);
        $last = $life->hours($limit);
        expect(abs((float) $life->limitFor($last) - $limit))->toBeLessThan(1e-9);
    }
})->with(range(1, 25));

it('learns base and load from what was drained at several limits', function () {
    // 5 + 0.8 × limit: 13 W at 10, 21 W at 20.
    $draw = Draw::learned([Drain::of(10, 6.5, 30), Drain::of(20, 10.5, 30)]);
    expect(round($draw->baseW, 6))->toBe(5.0)
        ->and(round($draw->load, 6))->toBe(0.8)
        ->and($draw->from)->toBe(2)
        ->and($draw->isLoadLearned)->toBeTrue();
});

it('learns the base alone at one limit, and from what does not hang together', function (array $drains, float $at10) {
    $draw = Draw::learned(array_map(fn (array $one): Drain => Drain::of(...$one), $drains));
    expect(round($draw->at(10), 4))->toBe($at10)
        ->and($draw->load)->toBeGreaterThan(0.0)
        ->and($draw->isLoadLearned)->toBeFalse()
        ->and($draw->baseW)->toBeGreaterThanOrEqual(0.0);
})->with([
    'one limit' => [[[10, 6.5, 30]], 13.0],
    'twice the same' => [[[10, 6.5, 30], [10, 7.5, 30]], 14.0],
    'less at more' => [[[10, 10, 30], [20, 5, 30]], 15.0 - 5 * 0.85],
    'next to nothing' => [[[10, 0.5, 30]], 1.0],
]);

it('refuses what says nothing', function (Closure $make, string $says) {
    expect($make)->toThrow(InvalidArgumentException::class, $says);
})->with([
    [fn () => Drain::of(10, 6.5, 4), 'at least 5 minutes'],
    [fn () => Drain::of(0, 6.5, 30), 'watts of a limit'],
    [fn () => Drain::of(10, 0, 30), 'watt-hours'],
    [fn () => Draw::given(-1), 'Base watts'],
    [fn () => Draw::given(1, 0), 'a load above 0'],
    [fn () => Draw::given(1, 1.6), 'at most 1.5'],
    [fn () => BatteryLife::of(Draw::given(5), 40, 0), 'The health'],
    [fn () => BatteryLife::of(Draw::given(5), 40, 1.01), 'The health'],
    [fn () => BatteryLife::of(Draw::given(5), 40, 1, 0), 'The charge limit'],
    [fn () => BatteryLife::of(Draw::given(5), 0), 'Watt-hours above 0'],
    [fn () => BatteryLife::of(Draw::given(5), 40, 1, 0.5, 0.5), 'a reserve below'],
    [fn () => BatteryLife::of(Draw::given(5), 40, 1, 0.5, -0.1), 'a reserve below'],
]);

it('takes what stands just at its bounds', function () {
    expect(Draw::given(0, 1.5)->at(10))->toBe(15.0)
        ->and(Draw::given(5)->at(10))->toBe(13.5)
        ->and(Draw::given(5)->from)->toBe(0)
        ->and(Draw::given(5)->isLoadLearned)->toBeFalse()
        ->and(Drain::of(10, 6.5, 5)->watts())->toEqualWithDelta(78.0, 1e-9)
        ->and(BatteryLife::of(Draw::given(5), 40, 1, 1, 0)->usableWh())->toBe(40.0);
    // A load of just 1.5 of the limit is one that a machine can have; more is not.
    expect(Draw::learned([Drain::of(10, 17, 60), Drain::of(20, 32, 60)])->load)->toEqualWithDelta(1.5, 1e-9)
        ->and(Draw::learned([Drain::of(10, 17, 60), Drain::of(20, 33, 60)])->load)->toBe(0.85);
});

it('proposes whole watts that last so long, between what the model can be set to', function (
    float $hours,
    ?PowerLimits $can,
    ?int $watts,
) {
    // 40 Wh; 5 W and 0.8 of the limit: 13.75 W at 2.5 h, 10.4 at 3, 28.3 at 1.45.
    $life = BatteryLife::of(Draw::given(5, 0.8), 40, reserve: 0.0);
    expect($life->everyday($hours, $can))->toBe($watts);
})->with([
    [2.5, null, 13], [3.0, null, 10], [2.5, new PowerLimits(5, 12.5), 12], [3.0, new PowerLimits(10, 15), 10],
    [3.0, new PowerLimits(10.5, 15), null], [9.0, null, null], [7.5, null, null],
]);
