<?php

use Cobblestone\Boot\Model\BootDevice;
use Cobblestone\Boot\Model\BootModel;
use Cobblestone\Boot\Model\BootState;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\Possibilities;
use Cobblestone\Machine\Facts\FactRegistry;
use Random\Engine\Mt19937;
use Random\Randomizer;

pest()->group('slow');

it('gives every state exactly one end, the same each time', function () {
    $chance = new Randomizer(new Mt19937(20261125));
    $seen = [];
    for ($i = 0; $i < 4000; $i++) {
        $state = anyState($chance, false);
        $prediction = BootModel::start($state);
        $seen[$prediction->outcome->value] = true;
        expect(BootModel::start(BootState::fromArray(json_decode(json_encode($state->toArray()), true))))
            ->toEqual($prediction)
            ->and($prediction->stones)->not->toBe([])
            ->and(count(array_filter($prediction->stones, fn ($stone) => ! $stone->holds)))->toBeLessThanOrEqual(1);
        $missing = $prediction->missing();
        // What does not hold is the last stone: nothing is tried behind it.
        expect($missing === null || $missing === $prediction->stones[count($prediction->stones) - 1])->toBeTrue()
            ->and($missing === null)->toBe(in_array(
                $prediction->outcome,
                [
                    Outcome::InstallerStarts, Outcome::WantedSystemStarts, Outcome::OldSystemStarts,
                    Outcome::RecoveryStarts,
                ],
                true,
            ));
    }
    expect(count($seen))->toBeGreaterThanOrEqual(12);
});

it('finds every way while facts are unknown, and few of them', function () {
    $chance = new Randomizer(new Mt19937(7));
    for ($i = 0; $i < 1500; $i++) {
        $possible = Possibilities::of(anyState($chance, true));
        expect(count($possible->ways))->toBeBetween(1, 200)
            ->and($possible->settledBy() === null)->toBe(count($possible->outcomes()) < 2);
        foreach ($possible->ways as $way) {
            expect(array_intersect_key(FactRegistry::values(), $way['given']))->toHaveCount(count($way['given']));
        }
    }
});

it('is not changed by a device that comes after the one that starts', function () {
    $chance = new Randomizer(new Mt19937(4));
    $counted = 0;
    for ($i = 0; $i < 3000; $i++) {
        $state = anyState($chance, false);
        $alone = BootModel::start($state);
        if ($alone->outcome->distance() > 0 || ($state->facts['firmware.kind'] ?? '') === 'sealed') {
            continue;
        }
        $more = $state->withDevice(new BootDevice(
            'further',
            'Further',
            oneOf($chance, ['stick', 'drive']),
            anyMedium($chance),
        ));
        $with = BootModel::start($more);
        expect([$with->outcome, $with->device, $with->stones])
            ->toEqual([$alone->outcome, $alone->device, $alone->stones]);
        $counted++;
    }
    expect($counted)->toBeGreaterThan(150);
});
