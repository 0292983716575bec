<?php

use Cobblestone\Media\DriverPlace;
use Cobblestone\Media\HostSpace;
use Cobblestone\Media\StickChoice;
use Cobblestone\Media\SticksAtHand;
use Cobblestone\Media\Ways\SpeedHistory;
use Cobblestone\Quantity\Bytes;
use Tests\Support\Entries;

it('learns a rate only from enough bytes', function () {
    $run = ['bytes' => 2_147_483_648, 'write_seconds' => 100.0, 'verify_seconds' => 20.0];
    expect((new SpeedHistory([$run]))->write())->toBeNull()
        ->and((new SpeedHistory([$run, $run]))->write()->bytesPerSecond)->toBe(21_474_836)
        ->and((new SpeedHistory([$run, $run]))->read()->bytesPerSecond)->toBe(107_374_182)
        ->and(
            (new SpeedHistory([['bytes' => 9_000_000_000, 'write_seconds' => 0.0, 'verify_seconds' => 1.0]]))->write(),
        )
        ->toBeNull()
        ->and(SpeedHistory::rate(1_000_000, 0.05))->toBe(20.0)
        ->and(SpeedHistory::rate(999_999, 1.0))->toBeNull()
        ->and(SpeedHistory::rate(1_000_000, 0.04))->toBeNull();
});

it('takes a stick on watch only when no healthier one fits', function () {
    $stick = fn (string $id, int $bytes, string $health) => Entries::stick([
        'id' => $id,
        'name' => ucfirst($id),
        'bytes' => $bytes,
        'connector' => 'usb-a',
        'write_mb_s' => 20,
        'read_mb_s' => 60,
        'health' => $health,
        'contents_may_go' => true,
    ]);
    $decide = fn (array $sticks) => StickChoice::decide(
        'x',
        'X',
        new SticksAtHand($sticks, 'smallest', []),
        Bytes::of(4_000_000_000),
    )->decision;
    $both = $decide([$stick('slack', 8_000_000_000, 'watch'), $stick('gull', 16_000_000_000, 'good')]);
    expect($both->chosen)->toBe('Gull')
        ->and($both->refused['Slack'])->toBe(['on watch: it failed before, or nobody knows where it comes from'])
        ->and($decide([$stick('slack', 8_000_000_000, 'watch')])->reasons[0])
        ->toBe('It is on watch after failures: no healthier one fits.')
        ->and($decide([$stick('slack', 8_000_000_000, 'retired')])->chosen)->toBe('any stick of at least 4.0 GB');
});

it('says what the bench computer has to hold', function () {
    expect(HostSpace::raw(Bytes::of(4_000_000_000))->describe())
        ->toBe('The bench computer holds the image, 4.0 GB, and no further copy.')
        ->and(
            HostSpace::copied(Bytes::of(4_000_000_000), Bytes::of(3_900_000_000), Bytes::of(2_900_000_000))->describe(),
        )
        ->toBe('The bench computer holds the image, 4.0 GB, and up to 1.0 GB of unpacked files at once.')
        ->and(HostSpace::copied(Bytes::of(100), Bytes::of(90), Bytes::of(80))->scratch->count)->toBe(90)
        ->and(
            HostSpace::copied(Bytes::of(100_000_000), Bytes::of(90_000_000), Bytes::of(16_777_216))->scratch->count,
        )
        ->toBe(90_000_000 - 16_777_216);
});

it('decides where the drivers travel', function () {
    $stick = fn (string $id, int $bytes) => Entries::stick([
        'id' => $id,
        'name' => ucfirst($id),
        'bytes' => $bytes,
        'connector' => 'usb-a',
        'write_mb_s' => 20,
        'read_mb_s' => 60,
        'health' => 'good',
        'contents_may_go' => true,
    ]);
    $first = $stick('gull', 16_000_000_000);
    $place = DriverPlace::secondStick(
        new SticksAtHand([$first, $stick('tern', 8_000_000_000)], 'smallest', []),
        $first,
        Bytes::mebi(200),
        3,
        'It is written raw.',
    );
    $only = new SticksAtHand([$first], 'smallest', []);
    expect($place->second)->toBe('Tern')
        ->and($place->decision->chosen)->toBe('a second stick: Tern')
        ->and($place->decision->reasons[0])->toBe('It is written raw.')
        ->and($place->decision->refused['the same stick'])->toBe(['It is written raw.'])
        ->and($place->decision->facts)->toContain('3 packages go along')
        ->and(DriverPlace::secondStick($only, $first, Bytes::mebi(200), 3, 'x')->second)
        ->toBe('any stick of at least 276.8 MB')
        ->and(DriverPlace::sameStick(2)->decision->chosen)->toBe('the same stick, in a folder of their own')
        ->and(DriverPlace::sameStick(2)->second)->toBeNull()
        ->and(DriverPlace::none()->decision)->toBeNull();
});
