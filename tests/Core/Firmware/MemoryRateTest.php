<?php

use Cobblestone\Firmware\HandheldNeeds;
use Cobblestone\Firmware\MemoryNeed;
use Cobblestone\Firmware\MemoryProfile;
use Cobblestone\Machine\Fact as MachineFact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Machine\Source;
use Cobblestone\Quantity\Bytes;
use Tests\Support\Demo;

it('works out what to enter for a memory rate', function (int $rate, bool $counts, array $ways) {
    expect(array_map(
        fn (MemoryProfile $way): array => [$way->reference, $way->multiplier, $way->clock],
        MemoryProfile::ways($rate, $counts),
    ))
        ->toBe($ways);
})->with([
    '3200' => [3200, false, [['100 MHz', 16, 1600.0], ['133⅓ MHz', 12, 1600.0]]],
    '3600' => [3600, false, [['100 MHz', 18, 1800.0]]],
    '2666, cut off on its label' => [2666, false, [['133⅓ MHz', 10, 1333.33]]],
    '2133, cut off on its label' => [2133, false, [['133⅓ MHz', 8, 1066.67]]],
    '3200, the multiplier counts transfers' => [3200, true, [['100 MHz', 32, 1600.0], ['133⅓ MHz', 24, 1600.0]]],
    '3700, by transfers' => [3700, true, [['100 MHz', 37, 1850.0]]],
    '3700, by clock' => [3700, false, []],
    'nothing' => [0, false, []],
]);

it('counts a rate forward', function () {
    expect(MemoryProfile::rate(100, 16, false))->toBe(3200.0)
        ->and(MemoryProfile::rate(133, 10, false))->toBe(2666.7)
        ->and(MemoryProfile::rate(133, 24, true))->toBe(3200.0)
        ->and(MemoryProfile::ways(2666, false)[0]->sentence())
        ->toBe(
            'Reference 133⅓ MHz × 10 = 2666 million transfers a second; a tool may show 1333.33 MHz, which is '
                .'the clock and half of it.',
        )
        ->and(MemoryProfile::ways(3200, true)[0]->sentence())->toContain('the multiplier counts transfers');
});

it('asks for the memory profile only where board and every module can', function (
    array $modules,
    array $facts,
    ?string $value,
) {
    $sheet = FactSheet::empty();
    foreach ($facts as $name => $fact) {
        $sheet = $sheet->with(MachineFact::of($name, $fact, Source::Person, 'x'));
    }
    $machine = new Machine(
        'Test',
        Kind::Desktop,
        $sheet,
        model: Demo::catalogue()->machine('brackwater-capstan-t3'),
        modules: array_map(
            fn (array $one): MemoryModule => new MemoryModule(
                'A',
                $one[0] === null ? null : Bytes::gibi(16),
                ratedTransfers: $one[0],
                setTransfers: $one[1],
            ),
            $modules,
        ),
    );
    $needs = MemoryNeed::of($machine);
    expect($needs === [] ? null : $needs[0]->value)->toBe($value);
})->with([
    'slower than it can' => [[[3200, 2400], [3200, 2400]], [], 'rated'],
    'one is slower by nature' => [[[3200, 2400], [2400, 2400]], [], null],
    'already' => [[[3200, 3200]], [], null],
    'no rate known' => [[[null, null]], [], null],
    'none' => [[], [], null],
    'errors were found' => [[[3200, 2400]], ['memory.trusted' => 'no'], null],
    'set to is not known' => [[[3200, null]], [], 'rated'],
]);

it('shares memory with the graphics of a handheld by what the system keeps', function (
    int $gibibytes,
    ?string $graphics,
) {
    $machine = new Machine(
        'Test',
        Kind::Handheld,
        FactSheet::empty()->with(MachineFact::of('memory_bytes', $gibibytes << 30, Source::Person, 'x')),
        model: Demo::catalogue()->machine('wickley-pocket-lantern'),
    );
    $needs = array_column(
        array_map(
            fn ($need): array => [$need->setting, $need->value],
            HandheldNeeds::of($machine, Demo::catalogue()->system('corvane-play-2')),
        ),
        1,
        0,
    );
    expect($needs['graphics_memory'] ?? null)->toBe($graphics)->and($needs['power_mode'])->toBe('balanced');
})->with([[16, '4 GB'], [24, '4 GB'], [32, '8 GB'], [12, null], [8, null]]);

it('leaves other kinds of machine alone', function () {
    $machine = new Machine(
        'Test',
        Kind::Laptop,
        FactSheet::empty(),
        model: Demo::catalogue()->machine('wickley-pocket-lantern'),
    );
    expect(HandheldNeeds::of($machine, Demo::catalogue()->system('corvane-play-2')))->toBe([]);
});
