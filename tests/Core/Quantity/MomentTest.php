<?php

use Cobblestone\Quantity\InvalidQuantity;
use Cobblestone\Quantity\Moment;

const BENCH = 'Europe/London';

it('reads a day, a local time and a time with an offset', function (string $text, string $iso) {
    expect(Moment::of($text, BENCH)->iso())->toBe($iso);
})->with([
    'a day begins at midnight there' => ['2026-11-24', '2026-11-24T00:00+00:00'],
    'minutes' => ['2026-11-24T15:40', '2026-11-24T15:40+00:00'],
    'seconds' => ['2026-11-24T15:40:59', '2026-11-24T15:40+00:00'],
    'summer time of the zone' => ['2026-07-01T08:05', '2026-07-01T08:05+01:00'],
    'an offset is brought to the zone' => ['2026-07-01T08:05+05:30', '2026-07-01T03:35+01:00'],
    'Z' => ['2026-07-01T08:05Z', '2026-07-01T09:05+01:00'],
    'a leap day' => ['2028-02-29', '2028-02-29T00:00+00:00'],
]);

it('takes the zone to be UTC unless told', function () {
    expect(Moment::of('2026-07-01T08:05')->iso())->toBe('2026-07-01T08:05+00:00');
    expect(Moment::ofUnix(0)->iso())->toBe('1970-01-01T00:00+00:00');
});

it('refuses what no calendar holds', function (string $text) {
    expect(fn () => Moment::of($text))->toThrow(InvalidQuantity::class, 'is not a date');
})->with([
    'an ordinary year has no 29 February' => '2026-02-29',
    'month 13' => '2026-13-01',
    'month 0' => '2026-00-10',
    'day 0' => '2026-11-00',
    'day 31 of a short month' => '2026-11-31',
    'year 0' => '0000-01-01',
    'a relative word' => 'tomorrow',
    'a word after the day' => '2026-11-24 next week',
    'a day first' => '24-11-2026',
    'nothing' => '',
    'an offset without a time' => '2026-11-24+01:00',
    'a line before' => "x\n2026-11-24",
]);

it('shows forty characters of what it refuses, and no more', function () {
    $text = implode('', range('a', 'z')).implode('', range('A', 'Z'));
    expect(fn () => Moment::of($text))->toThrow(
        InvalidQuantity::class,
        '"abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMN" is not a date. Write year, month and day, such as 2026-11-24 or '
            .'2026-11-24T15:40.',
    );
});

it('adds calendar days, whatever the clocks do between', function (string $from, int $days, string $to) {
    expect(
        Moment::of($from, BENCH)
            ->plusDays($days)
            ->iso(),
    )->toBe($to);
})->with([
    'clocks go back' => ['2026-10-24T09:00', 2, '2026-10-26T09:00+00:00'],
    'clocks go forward' => ['2026-03-28T09:00', 1, '2026-03-29T09:00+01:00'],
    'none' => ['2026-10-24T09:00', 0, '2026-10-24T09:00+01:00'],
    'backwards' => ['2026-01-01T09:00', -1, '2025-12-31T09:00+00:00'],
    'ten days over a month' => ['2026-11-24T15:40', 10, '2026-12-04T15:40+00:00'],
]);

it('counts days by the calendar, not by hours', function (string $from, string $to, int $days) {
    expect(Moment::of($from, BENCH)->daysUntil(Moment::of($to, BENCH)))->toBe($days);
})->with([
    'a minute before midnight to a minute after' => ['2026-11-24T23:59', '2026-11-25T00:01', 1],
    'the whole of a day' => ['2026-11-24T00:00', '2026-11-24T23:59', 0],
    'past' => ['2026-11-24T00:01', '2026-11-22T23:59', -2],
    'over the change of clocks' => ['2026-10-24T23:30', '2026-10-26T00:10', 2],
    'a year' => ['2026-11-24', '2027-11-24', 365],
]);

it('compares the instants and not the clocks on the wall', function () {
    $here = Moment::of('2026-07-01T09:00', BENCH);
    $sameElsewhere = Moment::of('2026-07-01T08:00', 'UTC');
    expect($here->isBefore($sameElsewhere))->toBeFalse();
    expect($sameElsewhere->isBefore($here))->toBeFalse();
    expect($here->isBefore($here->plusDays(1)))->toBeTrue();
    expect($here->plusDays(1)->isBefore($here))->toBeFalse();
    expect($here->unix())->toBe($sameElsewhere->unix());
});

it('comes back unchanged from seconds', function () {
    $moment = Moment::ofUnix(1_795_534_800, BENCH);
    expect($moment->unix())->toBe(1_795_534_800);
    expect($moment->iso())->toBe('2026-11-24T15:40+00:00');
    expect($moment->day())->toBe('2026-11-24');
    expect($moment->spoken())->toBe('24 Nov 2026, 15:40');
    expect(Moment::of('2026-12-04T05:07')->spoken())->toBe('4 Dec 2026, 05:07');
});
