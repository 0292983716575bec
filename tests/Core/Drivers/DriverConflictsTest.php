<?php

use Cobblestone\Drivers\DriverConflicts;
use Tests\Support\Entries;

it('keeps what comes first, whichever of the two names the other, and says what stays out', function (bool $turned) {
    $names = $turned ? ['conflicts' => ['b']] : [];
    $a = Entries::package(['id' => 'a', 'name' => 'A', 'version' => '1', ...$names]);
    $b = Entries::package(['id' => 'b', 'name' => 'B', 'version' => '2', ...$turned ? [] : ['conflicts' => ['a']]]);
    $c = Entries::package(['id' => 'c', 'name' => 'C', 'needs' => ['a', 'gone', 'far']]);
    $found = DriverConflicts::in([$a, $b, $c]);
    $decision = $found->decisions()[0];
    expect($found->kept)->toBe([$a, $c])
        ->and([$found->isOut($a), $found->isOut($b), $found->isOut($c)])->toBe([false, true, false])
        ->and($found->decisions())->toHaveCount(1)
        ->and([$decision->id, $decision->title, $decision->chosen, $decision->rule, $decision->facts])
        ->toBe(['drivers.conflict.b', 'B 2 stays out', 'A 1', 'D4', ['b, a']])
        ->and($decision->reasons)
        ->toBe(['B and A must not be there together; the one that comes first stays.'])
        ->and($decision->refused)->toBe(['B 2' => ['Its maker says that it cannot be with A.']])
        ->and($found->missing([$a, $b, $c]))
        ->toBe(['C needs gone, which is not on the shelf.', 'C needs far, which is not on the shelf.']);
})->with([[true], [false]]);

it('leaves everything where nothing is against it', function () {
    $a = Entries::package(['id' => 'a']);
    expect(DriverConflicts::in([$a])->kept)->toBe([$a])
        ->and(DriverConflicts::in([$a])->decisions())->toBe([])
        ->and(DriverConflicts::in([$a])->missing([$a]))->toBe([])
        ->and(DriverConflicts::in([])->kept)->toBe([]);
});
