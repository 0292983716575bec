<?php

use Cobblestone\Firmware\ReleasePath;
use Cobblestone\Firmware\UpdateSupply;
use Cobblestone\Hardware\CardSupply;
use Cobblestone\Install\RollbackWindow;
use Cobblestone\Machine\Model\Release;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\InvalidQuantity;
use Cobblestone\Quantity\Moment;
use Cobblestone\Quantity\Power;
use Tests\Support\Demo;

/**
 * @param  list<array<string, mixed>>  $said
 * @return list<Release>
 */
function releases(array $said): array
{
    return array_map(
        static fn (array $one): Release => Release::fromArray(['file' => 'f', 'minutes' => [3, 6, 20], ...$one]),
        $said,
    );
}

it('finds the shortest way through releases', function (string $from, string $to, ?array $way) {
    $releases = releases([
        ['version' => '1.0'],
        ['version' => '1.5', 'from' => '1.0'],
        ['version' => '2.0', 'from' => '1.4'],
        ['version' => '2.1', 'from' => '1.0'],
        ['version' => '3.0', 'from' => '2.0'],
    ]);
    $found = ReleasePath::shortest($releases, $from, $to);
    expect($found === null ? null : array_map(fn ($release) => $release->version, $found))->toBe($way);
})->with([
    ['1.0', '3.0', ['2.1', '3.0']],
    ['1.0', '2.0', ['1.5', '2.0']],
    ['2.0', '3.0', ['3.0']],
    ['3.0', '3.0', []],
    ['3.5', '3.0', []],
    ['0.9', '2.1', ['1.0', '2.1']],
    ['1.0', '4.0', null],
]);

it('takes the lowest release that gives what is needed', function () {
    $releases = releases([
        ['version' => '1.10', 'gives' => ['a']],
        ['version' => '1.9', 'gives' => ['a', 'b']],
        ['version' => '2.0'],
    ]);
    expect(ReleasePath::lowestGiving($releases, 'a'))->toBe('1.9')
        ->and(ReleasePath::lowestGiving($releases, 'b'))->toBe('1.9')
        ->and(ReleasePath::lowestGiving($releases, null))->toBe('2.0')
        ->and(ReleasePath::lowestGiving($releases, 'z'))->toBeNull();
});

it('wants twice the energy of an update from an uninterruptible supply', function () {
    expect(UpdateSupply::required(Power::watts(120), Duration::minutes(10))->milliwattHours)->toBe(40_000);
    $tower = fn (array $facts) => Demo::plan('firmware-update', [
        'machine' => [
            'model' => 'brackwater-capstan-t3',
            'facts' => ['firmware.version' => 'F9', 'drive.encryption' => 'none', ...$facts],
        ],
        'update' => ['reason' => 'x', 'to' => 'F12'],
    ]);
    expect($tower(['power.load_w' => 120, 'ups.usable_wh' => 20])->blockers)->toBe([])
        ->and($tower(['power.load_w' => 120, 'ups.usable_wh' => 19.9])->blockers[0]->reason)
        ->toContain('is too small: 120 W × 5 min × 2 = 20.0 Wh')
        ->and($tower([])->step('firmware.supply')?->evidence[0]->options)->toHaveKeys(['ups', 'wall']);
});

it('compares supply and leads with the card', function () {
    expect(CardSupply::required(220, 105, 75))->toBe(500)
        ->and(CardSupply::required(1, 0, 0))->toBe(2)
        ->and(CardSupply::leads([]))->toBe(75)
        ->and(CardSupply::leads(['8-pin', '6-pin']))->toBe(300)
        ->and(CardSupply::leads(['16-pin:450']))->toBe(525)
        ->and(CardSupply::leads(['string']))->toBe(75);
    $card = fn (array $change) => Demo::plan('card-swap', ['card' => $change]);
    expect($card([])->blockers)->toBe([])
        ->and($card(['supply_w' => 499])->blockers[0]->reason)->toContain('= 500 W; the supply gives 499 W')
        ->and($card(['watts' => 376, 'supply_w' => 900])->blockers[0]->reason)
        ->toContain('carry 375 W, it draws 376 W');
});

it('removes the old family between safe mode and the new card, offline', function () {
    $ids = array_map(fn ($step) => $step->id, Demo::plan('card-swap')->steps);
    $order = array_map(
        fn (string $id) => array_search($id, $ids, true),
        [
            'drivers.fetch', 'network.offline', 'boot.safe-mode', 'drivers.remove-old', 'hardware.swap-card',
            'boot.first', 'drivers.install-new', 'put-back.network', 'hand-over.give-back',
        ],
    );
    $sorted = $order;
    sort($sorted);
    expect($order)->toBe($sorted)
        ->and(
            Demo::plan('card-swap', [
                'machine' => ['facts' => ['drive.encryption' => 'chip', 'encryption.key' => 'yes']],
            ])
                ->step('protect.suspend'),
        )->not->toBeNull();
});

it('counts the days of a way back on the calendar of the bench', function (
    string $installed,
    string $zone,
    string $deadline,
    array $reminders,
) {
    $window = RollbackWindow::from(Moment::of($installed, $zone), 10);
    expect($window->deadline->iso())->toBe($deadline)
        ->and(array_map(fn (Moment $moment) => $moment->day(), $window->reminders()))->toBe($reminders);
})->with([
    ['2026-11-24T15:40', 'UTC', '2026-12-04T15:40+00:00', ['2026-12-01', '2026-12-03']],
    'clocks go back in between' => [
        '2026-10-20T15:40',
        'Europe/Berlin',
        '2026-10-30T15:40+01:00',
        ['2026-10-27', '2026-10-29'],
    ],
    'leap day' => ['2028-02-25T09:00', 'UTC', '2028-03-06T09:00+00:00', ['2028-03-03', '2028-03-05']],
    'turn of the year' => ['2026-12-28T23:50', 'UTC', '2027-01-07T23:50+00:00', ['2027-01-04', '2027-01-06']],
]);

it('knows open, last day, over and lost', function () {
    $window = RollbackWindow::from(Moment::of('2026-11-24T15:40'), 10);
    $state = fn (string $now, bool $gone = false) => $window->state(Moment::of($now), $gone);
    expect($state('2026-11-25T08:00'))->toBe('open')
        ->and($state('2026-12-04T15:39'))->toBe('ends today')
        ->and($state('2026-12-04T15:40'))->toBe('over')
        ->and($state('2026-11-25T08:00', true))->toBe('lost')
        ->and($window->sentence(Moment::of('2026-12-01T08:00'), false))
        ->toBe('Can be taken back until 4 Dec 2026, 15:40, 3 days from now.')
        ->and($window->sentence(Moment::of('2026-12-01T08:00'), true))->toContain('folder is gone')
        ->and($window->sentence(Moment::of('2027-01-01'), false))->toContain('that is over')
        ->and($window->sentence(Moment::of('2026-12-04T01:00'), false))->toContain('until today');
});

it('reads complete dates only, and never a clock', function (string $text) {
    expect(fn () => Moment::of($text))->toThrow(InvalidQuantity::class, 'is not a date');
})->with(['now', 'tomorrow', '2026-13-01', '2026-02-30', '24.11.2026', '2026-11-24 15:40', '']);

it('keeps a moment in its zone', function () {
    expect(Moment::ofUnix(0)->iso())->toBe('1970-01-01T00:00+00:00')
        ->and(Moment::of('2026-11-24T15:40Z', 'Europe/Berlin')->iso())->toBe('2026-11-24T16:40+01:00')
        ->and(Moment::of('2026-11-24')->daysUntil(Moment::of('2026-11-20')))->toBe(-4)
        ->and(Moment::of('2026-11-24T23:59')->daysUntil(Moment::of('2026-11-25T00:01')))->toBe(1)
        ->and(Moment::of('2026-11-24T10:00')->isBefore(Moment::of('2026-11-24T10:01')))->toBeTrue()
        ->and(Moment::of('1970-01-02')->unix())->toBe(86400)
        ->and(Moment::of('2026-11-04T09:05')->spoken())->toBe('4 Nov 2026, 09:05');
});

it('says what is plugged in where and whether it still charges', function () {
    expect(Demo::plan('fairlead-13')->assessment->all()['ports'])->toBe([
        [
            'stage' => 'Back up',
            'uses' => [
                ['port' => 'usb-a, right side', 'what' => 'backup drive'],
                ['port' => 'usb-c, left side rear', 'what' => 'charger'],
            ],
            'charges' => true,
            'note' => '',
        ],
        [
            'stage' => 'Start from the stick and install',
            'uses' => [
                ['port' => 'usb-a, right side', 'what' => 'stick'],
                ['port' => 'usb-c, left side rear', 'what' => 'charger'],
            ],
            'charges' => true,
            'note' => '',
        ],
        [
            'stage' => 'First boot and updates',
            'uses' => [['port' => 'usb-c, left side rear', 'what' => 'charger']],
            'charges' => true,
            'note' => '',
        ],
    ]);
    $lantern = Demo::plan('pocket-lantern')->assessment->all()['ports'];
    expect($lantern[0])->toMatchArray([
        'uses' => [['port' => 'usb-c, top edge', 'what' => 'stick']],
        'charges' => false,
        'note' => 'the charger\'s socket is taken, so it runs on its battery',
    ])
        ->and($lantern[1]['charges'])->toBeTrue()
        ->and(Demo::plan('unknown-laptop', ['machine' => ['ports' => []]])->assessment->has('ports'))->toBeFalse();
});
