<?php

use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Energy;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Quantity\InvalidQuantity;
use Cobblestone\Quantity\Power;

// Which way a figure is rounded, and at which digit: a plan that is a second, a byte or a milliwatt out is not the plan
// that was checked.

it('reads a share of a byte as the nearest whole one', function (string $text, int $bytes) {
    expect(Bytes::parse($text)->count)->toBe($bytes);
})->with([
    'down' => ['1.0004 KB', 1000],
    'up' => ['1.0006 KB', 1001],
    'half goes up' => ['0.5 b', 1],
    'a third of a KiB' => ['0.333 KiB', 341],
]);

it('reads whole numbers to the last byte a machine word holds, and not one further', function () {
    expect(Bytes::parse('9223372036854775807')->count)->toBe(PHP_INT_MAX);
    expect(fn () => Bytes::parse('9223372036854775808'))->toThrow(
        InvalidQuantity::class,
        'larger than this machine can count',
    );
    expect(fn () => Bytes::parse('8388608 TiB'))->toThrow(
        InvalidQuantity::class,
        'larger than this machine can count',
    );
});

it('says what it could not read, shortened', function () {
    $long = str_repeat('0123456789', 4).'tail';
    expect(fn () => Bytes::parse($long.' sheep'))->toThrow(
        InvalidQuantity::class,
        '"0123456789012345678901234567890123456789" cannot be read as a size. Write a whole number, or a number with '
            .'a unit such as "64 GB" or "59.6 GiB".',
    );
    expect(fn () => Bytes::parse('238.5G'))->toThrow(InvalidQuantity::class, '"238.5G" cannot be read as a size');
    expect(fn () => Bytes::of(1)->portions(Bytes::of(0)))->toThrow(
        InvalidQuantity::class,
        'A portion must be at least one byte, got 0.',
    );
    expect(fn () => DataRate::of(-3))->toThrow(InvalidQuantity::class, 'A data rate must be at least 1 B/s, got -3.');
});

it('adds a margin to the thousandth and rounds it up', function (int $bytes, float $share, int $with) {
    expect(Bytes::of($bytes)->withMargin($share)->count)->toBe($with);
})->with([
    'exact' => [1000, 0.1, 1100],
    'one byte over a whole share' => [1010, 0.1, 1111],
    'a share that no float holds' => [1_000_000, 0.029, 1_029_000],
    'rounded to the near thousandth, down' => [1_000_000, 0.0204, 1_020_000],
    'rounded to the near thousandth, up' => [1_000_000, 0.0206, 1_021_000],
    'the least part of a byte is a byte' => [1, 0.001, 2],
    'nothing stays nothing' => [0, 0.5, 0],
    'large' => [10_000_000_000, 0.1, 11_000_000_000],
]);

it('goes on to the largest unit and stays there', function (int $bytes, string $decimal, string $binary) {
    expect(Bytes::of($bytes)->decimal())->toBe($decimal);
    expect(Bytes::of($bytes)->binary())->toBe($binary);
})->with([
    'terabytes' => [4_000_787_030_016, '4.0 TB', '3.6 TiB'],
    'petabytes' => [2_500_000_000_000_000, '2.5 PB', '2.2 PiB'],
    'exabytes' => [PHP_INT_MAX, '9.2 EB', '8.0 EiB'],
    'just below a unit, in 1024s' => [1_023_900, '1.0 MB', '999.9 KiB'],
    'four digits before the point, in 1024s' => [1_047_552, '1.0 MB', '1023.0 KiB'],
]);

it('rounds time to the nearest second, and a factor of it up', function () {
    expect(Duration::minutes(0.005)->seconds)->toBe(0);
    expect(Duration::minutes(0.01)->seconds)->toBe(1);
    expect(Duration::minutes(1.009)->seconds)->toBe(61);
    expect(Duration::minutes(1.006)->seconds)->toBe(60);
    expect(Duration::seconds(10)->times(0.11)->seconds)->toBe(2);
    expect(Duration::seconds(10)->times(0.1)->seconds)->toBe(1);
    expect(Duration::seconds(3)->times(1.1)->seconds)->toBe(4);
    expect(Duration::seconds(1)->times(1.000_001)->seconds)->toBe(2);
    expect(Duration::seconds(1)->times(1.000_000_4)->seconds)->toBe(1);
    expect(Duration::seconds(1)->plus(Duration::seconds(2))->seconds)->toBe(3);
});

it('gives minutes to the thousandth', function (int $seconds, float $minutes) {
    expect(Duration::seconds($seconds)->inMinutes())->toBe($minutes);
})->with([[1, 0.017], [20, 0.333], [40, 0.667], [61, 1.017], [3600, 60.0]]);

it('brings every whole second back from minutes', function () {
    foreach (range(0, 7200, 7) as $seconds) {
        expect(Duration::minutes(Duration::seconds($seconds)->inMinutes())->seconds)->toBe($seconds);
    }
});

it('says long durations in hours', function (int $seconds, string $label) {
    expect(Duration::seconds($seconds)->label())->toBe($label);
})->with([
    [3599, '1 h 00'],
    [7140, '1 h 59'],
    [7200, '2 h 00'],
    [212_400, '59 h 00'],
    [212_460, '59 h 01'],
    [216_000, '60 h 00'],
]);

it('takes an estimate that is certain', function () {
    $certain = Estimate::minutes(2, 2, 2);
    expect([$certain->low->seconds, $certain->likely->seconds, $certain->high->seconds])->toBe([120, 120, 120]);
});

it('rounds power and energy to the nearest thousandth', function () {
    expect(Power::watts(1.0004)->milliwatts)->toBe(1000);
    expect(Power::watts(1.0006)->milliwatts)->toBe(1001);
    expect(Energy::wattHours(1.0004)->milliwattHours)->toBe(1000);
    expect(Energy::wattHours(1.0006)->milliwattHours)->toBe(1001);
    expect(Energy::milliwattHours(10)->times(0.24)->milliwattHours)->toBe(2);
    expect(Energy::milliwattHours(10)->times(0.26)->milliwattHours)->toBe(3);
    expect(Power::watts(3600)->over(Duration::seconds(1))->milliwattHours)->toBe(1000);
    expect(Power::watts(3600)->over(Duration::seconds(3600))->milliwattHours)->toBe(3_600_000);
});

it('prints large figures without grouping and small ones to a tenth', function () {
    expect(Power::watts(1234.5)->label())->toBe('1234.5 W');
    expect(Energy::wattHours(1234.5)->label())->toBe('1234.5 Wh');
    expect(DataRate::megabytes(1234.5)->label())->toBe('1234.5 MB/s');
    expect(DataRate::megabytes(0.26)->label())->toBe('0.3 MB/s');
    expect(DataRate::megabytes(7000)->label())->toBe('7000 MB/s');
    expect(DataRate::megabytes(0.000_001_4)->bytesPerSecond)->toBe(1);
    expect(DataRate::megabytes(0.000_001_6)->bytesPerSecond)->toBe(2);
});
