<?php

use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Energy;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Quantity\InvalidQuantity;
use Cobblestone\Quantity\Power;

it('reads sizes in both families of units', function (string|int $text, int $bytes) {
    expect(Bytes::parse($text)->count)->toBe($bytes);
})->with([
    ['64 GB', 64_000_000_000],
    ['59.6 GiB', 63_995_012_710],
    ['1 KiB', 1024],
    ['1kB', 1000],
    ['3 MiB', 3_145_728],
    ['2MB', 2_000_000],
    ['1 TiB', 1_099_511_627_776],
    ['1 TB', 1_000_000_000_000],
    ['0', 0],
    ['512 b', 512],
    ['64 023 257 088', 64_023_257_088],
    ['64_023_257_088', 64_023_257_088],
    [17, 17],
    [' 4 GiB ', 4_294_967_296],
]);

it('refuses what is not a size', function (string $text) {
    Bytes::parse($text);
})
    ->with(['238.5G', 'many', '', '-5', '-1 GB', '1e9', '99999999999999999999', '9999999999 TB', '1 GB extra'])
    ->throws(InvalidQuantity::class);

it('prints both families and the exact count', function (int $bytes, string $decimal, string $binary) {
    expect(Bytes::of($bytes)->decimal())
        ->toBe($decimal)
        ->and(Bytes::of($bytes)->binary())
        ->toBe($binary);
})->with([
    [64_023_257_088, '64.0 GB', '59.6 GiB'],
    [256_060_514_304, '256.1 GB', '238.5 GiB'],
    [0, '0 B', '0 B'],
    [999, '999 B', '999 B'],
    [1000, '1.0 kB', '1000 B'],
    [1024, '1.0 kB', '1.0 KiB'],
    [999_960, '1.0 MB', '976.5 KiB'],
    [999_949, '999.9 kB', '976.5 KiB'],
    [1_048_576, '1.0 MB', '1.0 MiB'],
    [1_048_575, '1.0 MB', '1.0 MiB'],
]);

it('says the exact bytes and writes them to JSON as a number', function () {
    expect(Bytes::of(64_023_257_088)->exact())
        ->toBe('64 023 257 088 B')
        ->and(json_encode(Bytes::of(5)))
        ->toBe('5');
});

it('takes a label for −8 % to +2 % and not beyond', function (int $actual, bool $matches) {
    expect(Bytes::of($actual)->matchesLabel(Bytes::of(100_000)))->toBe($matches);
})->with([[92_000, true], [91_999, false], [102_000, true], [102_001, false], [100_000, true]]);

it('counts portions, margins and differences exactly', function () {
    expect(Bytes::of(10)->portions(Bytes::of(3)))
        ->toBe(4)
        ->and(Bytes::of(9)->portions(Bytes::of(3)))
        ->toBe(3)
        ->and(Bytes::of(0)->portions(Bytes::of(3)))
        ->toBe(0)
        ->and(Bytes::of(101)->withMargin(0.1)->count)
        ->toBe(112)
        ->and(Bytes::of(5)->plus(Bytes::of(6))->count)
        ->toBe(11)
        ->and(Bytes::of(6)->minus(Bytes::of(6))->count)
        ->toBe(0)
        ->and(Bytes::of(6)->isMoreThan(Bytes::of(6)))
        ->toBeFalse()
        ->and(Bytes::of(7)->isMoreThan(Bytes::of(6)))
        ->toBeTrue()
        ->and(Bytes::mebi(2)->count)
        ->toBe(2_097_152)
        ->and(Bytes::gibi(1)->count)
        ->toBe(1_073_741_824);
    expect(fn () => Bytes::of(5)->minus(Bytes::of(6)))->toThrow(InvalidQuantity::class);
    expect(fn () => Bytes::of(-1))->toThrow(InvalidQuantity::class, 'cannot be negative');
    expect(fn () => Bytes::of(1)->portions(Bytes::of(0)))->toThrow(InvalidQuantity::class);
});

it('moves bytes in whole seconds, rounded up', function () {
    expect(DataRate::of(10)->timeFor(Bytes::of(100))->seconds)
        ->toBe(10)
        ->and(DataRate::of(10)->timeFor(Bytes::of(101))->seconds)
        ->toBe(11)
        ->and(DataRate::of(10)->timeFor(Bytes::of(0))->seconds)
        ->toBe(0)
        ->and(DataRate::megabytes(1.5)->bytesPerSecond)
        ->toBe(1_500_000)
        ->and(DataRate::megabytes(110)->label())
        ->toBe('110 MB/s')
        ->and(DataRate::megabytes(1.5)->label())
        ->toBe('1.5 MB/s')
        ->and(DataRate::of(1)->isSlowerThan(DataRate::of(2)))
        ->toBeTrue()
        ->and(DataRate::of(2)->isSlowerThan(DataRate::of(2)))
        ->toBeFalse();
    expect(fn () => DataRate::of(0))->toThrow(InvalidQuantity::class);
});

it('says durations as a person at the bench does', function (int $seconds, string $label) {
    expect(Duration::seconds($seconds)->label())->toBe($label);
})->with([
    [0, '0 s'],
    [59, '59 s'],
    [60, '1 min'],
    [89, '1 min'],
    [90, '2 min'],
    [3569, '59 min'],
    [3600, '1 h 00'],
    [4260, '1 h 11'],
]);

it('keeps estimates in order', function () {
    $around = Estimate::around(Duration::seconds(101));
    expect([$around->low->seconds, $around->likely->seconds, $around->high->seconds])->toBe([80, 101, 152]);
    expect(Estimate::minutes(1, 2, 3)->plus(Estimate::minutes(0.5, 1, 1.5))->jsonSerialize())->toBe([
        'low' => 1.5,
        'likely' => 3.0,
        'high' => 4.5,
        'basis' => 'usual',
    ])
        ->and($around->basis)->toBe('computed')
        ->and(Estimate::fromMinutes([1, 2, 3])->basis)->toBe('catalogue')
        ->and(Estimate::fromMinutes([1, 2, 3])->plus(Estimate::fromMinutes([1, 2, 3]))->basis)->toBe('catalogue')
        ->and(Estimate::fromMinutes([1, 2, 3])->plus(Estimate::minutes(1, 2, 3))->basis)->toBe('computed')
        ->and(Estimate::minutes(1, 2, 3)->restingOn('learned from 4')->basis)->toBe('learned from 4');
    expect(fn () => Estimate::minutes(2, 1, 3))->toThrow(InvalidArgumentException::class, 'low ≤ likely ≤ high');
    expect(fn () => Estimate::minutes(1, 3, 2))->toThrow(InvalidArgumentException::class);
    expect(Duration::seconds(10)->times(1.5)->seconds)
        ->toBe(15)
        ->and(Duration::minutes(0.5)->seconds)
        ->toBe(30)
        ->and(Duration::seconds(90)->inMinutes())
        ->toBe(1.5);
    expect(fn () => Duration::seconds(-1))->toThrow(InvalidQuantity::class);
});

it('counts power over time as energy, rounded up', function () {
    expect(Power::watts(15)->over(Duration::minutes(14))->milliwattHours)
        ->toBe(3500)
        ->and(Power::watts(0.001)->over(Duration::seconds(1))->milliwattHours)
        ->toBe(1)
        ->and(Power::watts(45)->minus(Power::watts(50))->milliwatts)
        ->toBe(-5000)
        ->and(Power::watts(12.34)->label())
        ->toBe('12.3 W')
        ->and(Energy::wattHours(37.6)->times(0.2)->plus(Energy::milliwattHours(1))->milliwattHours)
        ->toBe(7521)
        ->and(Energy::wattHours(33.84)->label())
        ->toBe('33.8 Wh');
});
