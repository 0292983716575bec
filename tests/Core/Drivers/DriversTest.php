<?php

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Drivers\DriverOrder;
use Cobblestone\Drivers\DriverPlanner;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Tests\Support\Demo;
use Tests\Support\Entries;

function package(string $id, string $family, string $restart = 'none', array $needs = []): DriverPackage
{
    return Entries::package([
        'id' => $id,
        'name' => $id,
        'family' => $family,
        'restart' => $restart,
        'needs' => $needs,
    ]);
}

$order = fn (string $school, array $packages) => array_map(
    fn ($package) => $package->id,
    DriverOrder::by($school, $packages),
);

it('follows the school, with what a package needs before it', function (string $school, array $expected) use (
    $order,
) {
    $packages = [
        package('graphics', 'graphics', 'after', ['chipset']),
        package('sound', 'audio'),
        package('network', 'network'),
        package('chipset', 'chipset', 'at-once'),
    ];
    expect($order($school, $packages))->toBe($expected);
})->with([
    ['chipset-first', ['chipset', 'network', 'graphics', 'sound']],
    ['network-first', ['network', 'chipset', 'graphics', 'sound']],
    ['graphics-first', ['chipset', 'graphics', 'network', 'sound']],
    ['free', ['network', 'sound', 'chipset', 'graphics']],
]);

it('restarts at once where wanted and once for all the others', function (array $packages, array $restarts) {
    expect(array_keys(DriverOrder::restarts($packages)))->toBe($restarts);
})->with([
    [[package('a', 'chipset', 'at-once'), package('b', 'audio', 'after'), package('c', 'input')], ['a', 'c']],
    [[package('a', 'chipset', 'after'), package('b', 'audio', 'at-once')], ['b']],
    [[package('a', 'chipset'), package('b', 'audio')], []],
    [[package('a', 'chipset', 'after'), package('b', 'audio', 'after')], ['b']],
    [[], []],
]);

it('matches packages to this model\'s devices by identifier, system and lock', function () {
    $ids = fn ($plan) => array_values(
        array_filter(
            array_map(
                fn ($step) => $step->stage->value === 'drivers' || $step->stage->value === 'network'
                    ? $step->id
                    : null,
                $plan->steps,
            ),
        ),
    );
    expect($ids(Demo::plan('fairlead-13')))
        ->toBe([
            'drivers.stick-in',
            'drivers.quarrel-w2-wireless',
            'network.online',
            'drivers.ostler-c8-chipset',
            'drivers.ostler-v5-graphics',
            'drivers.fennick-a1-sound',
            'drivers.fennick-t4-touch',
            'drivers.audit',
        ])
        ->and($ids(Demo::plan('capstan-t3')))
        ->toBe(['network.online', 'drivers.fennick-g7-graphics-skerry', 'drivers.audit'])
        ->and($ids(Demo::plan('pocket-lantern')))
        ->toBe(['network.online', 'drivers.audit']);
});

it('carries the network driver on the stick where the system has none', function () {
    $plan = Demo::plan('fairlead-13');
    expect($plan->step('network.online')?->before)
        ->toContain('driver.quarrel-w2-wireless')
        ->and($plan->step('drivers.quarrel-w2-wireless')?->before)
        ->not->toContain('network.online')
        ->and($plan->step('drivers.ostler-c8-chipset')?->before)
        ->toContain('network.online')
        ->and($plan->step('drivers.ostler-v5-graphics')?->before)
        ->toContain('driver.ostler-c8-chipset')
        ->and(implode(' ', $plan->step('drivers.fetch')->instructions ?? []))
        ->toContain('On the stick, in a folder of their own: Quarrel W2 wireless');
});

it('fetches nothing where there is nothing to fetch', function () {
    expect(Demo::plan('pocket-lantern')->step('drivers.fetch'))
        ->toBeNull()
        ->and(Demo::plan('pocket-lantern')->initial)
        ->toContain('drivers.fetched');
});

it('says which device has no package on the shelf', function () {
    $plan = Demo::plan('fairlead-13', [
        'machine' => ['model' => 'wickley-pocket-lantern'],
        'system' => 'tansy-desktop-7',
    ]);
    expect(implode(' ', $plan->step('drivers.audit')->instructions ?? []))
        ->toContain('Ostler H2 handheld chip')
        ->toContain('pci:4f51:2200')
        ->not->toContain('Wickley pad');
});

it('restarts once after the packages that can wait for it', function () {
    $plan = Demo::plan('fairlead-13');
    expect($plan->step('drivers.ostler-c8-chipset')?->waiting?->restarts)
        ->toBe(1)
        ->and($plan->step('drivers.ostler-v5-graphics')?->waiting?->restarts)
        ->toBe(0)
        ->and($plan->step('drivers.fennick-t4-touch')?->waiting?->restarts)
        ->toBe(1)
        ->and(implode(' ', $plan->step('drivers.ostler-v5-graphics')->instructions ?? []))
        ->toContain('comes later, once for all')
        ->and($plan->step('drivers.ostler-c8-chipset')?->time->likely->seconds)
        ->toBe(210)
        ->and($plan->step('drivers.ostler-v5-graphics')?->time->likely->seconds)
        ->toBe(240);
});

/** The least number of restarts, by trying every order that the packages allow. */
function leastRestarts(array $packages, array $done = [], array $order = []): int
{
    if ($packages === []) {
        return count(DriverOrder::restarts($order));
    }
    $least = PHP_INT_MAX;
    $open = array_map(fn ($package) => $package->id, $packages);
    foreach ($packages as $index => $package) {
        if (array_intersect($package->needs, $open) === []) {
            $rest = $packages;
            array_splice($rest, $index, 1);
            $least = min($least, leastRestarts($rest, [], [...$order, $package]));
        }
    }

    return $least;
}

it('restarts no more often than the best of all orders, where the school leaves the order free', function () {
    $random = new Random\Randomizer(new Random\Engine\Mt19937(20261129));
    for ($case = 0; $case < 400; $case++) {
        $packages = [];
        for ($i = 0, $n = $random->getInt(1, 6); $i < $n; $i++) {
            $needs = array_values(array_filter(
                array_map(fn ($package) => $package->id, $packages),
                fn () => $random->getInt(0, 3) === 0,
            ));
            $restart = ['none', 'after', 'at-once'][$random->getInt(0, 2)];
            $packages[] = package("p{$i}", 'chipset', $restart, $needs);
        }
        $ordered = DriverOrder::by('free', $random->shuffleArray($packages));
        $open = array_map(fn ($package) => $package->id, $ordered);
        foreach ($ordered as $package) {
            array_shift($open);
            expect(array_intersect($package->needs, $open))->toBe([]);
        }
        expect(count(DriverOrder::restarts($ordered)))->toBe(leastRestarts($packages));
    }
});

it('leaves out what cannot be with what comes before it, and says so', function () {
    $devices = [
        new Device('A', 'pci:0001:0001', 'graphics'),
        new Device('B', 'pci:0001:0002', 'audio'),
        new Device('C', 'pci:0001:0003', 'audio'),
    ];
    $plan = DriverPlanner::plan(
        new Machine('Mole', Kind::Laptop, FactSheet::empty(), devices: $devices),
        Entries::system(),
        [
            Entries::package(['id' => 'a', 'name' => 'A pack', 'claims' => ['pci:0001:0001'], 'needs' => ['gone']]),
            Entries::package([
                'id' => 'b', 'name' => 'B pack', 'family' => 'audio',
                'claims' => ['pci:0001:0002'], 'conflicts' => ['a'],
            ]),
            Entries::package(['id' => 'c', 'name' => 'C pack', 'family' => 'audio', 'claims' => ['pci:0001:0003']]),
        ],
        Policy::of(),
    );
    $decided = array_column(
        array_map(static fn ($of): array => [$of->id, $of->reasons], $plan->contribution->decisions),
        1,
        0,
    );
    expect(array_map(static fn ($of): string => $of->id, $plan->ordered))->toBe(['a', 'c'])
        ->and(array_map(static fn ($of): string => $of->name, $plan->unresolved))->toBe(['B'])
        ->and($decided['drivers.conflict.b'][0])->toContain('B pack and A pack must not be there together')
        ->and($decided['drivers.needs'])->toBe(['A pack needs gone, which is not on the shelf.'])
        ->and($plan->found()[1]->hangs)->toBe('empty');
});

it('asks for the stick again where drivers lie on it, and to pull it after the last of them', function () {
    $plan = Demo::plan('fairlead-13');
    $ids = array_map(static fn ($step): string => $step->id, $plan->steps);
    $wireless = $plan->step('drivers.quarrel-w2-wireless');
    expect(array_search('drivers.stick-in', $ids, true))
        ->toBeGreaterThan(array_search('first-boot.answers', $ids, true))
        ->toBeLessThan(array_search('drivers.quarrel-w2-wireless', $ids, true))
        ->and($wireless?->instructions)->toContain('Pull the stick again.')
        ->and($plan->step('drivers.ostler-c8-chipset')?->instructions)->not->toContain('Pull the stick again.')
        ->and(Demo::plan('capstan-t3')->step('drivers.stick-in'))->toBeNull();
});

it('waits before it judges, where the system fetches drivers by itself', function () {
    expect(Demo::plan('fairlead-13')->step('drivers.audit')?->instructions[0])->toContain('online for 10 minutes')
        ->and(Demo::plan('capstan-t3')->step('drivers.audit')?->instructions[0])->not->toContain('minutes');
});
