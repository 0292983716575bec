<?php

it('lets nothing through bad memory and takes it back once the sheet acquits it', function () {
    $sheet = fn (array $tests) => [
        'memory' => ['modules' => ['M1' => 8, 'M2' => 8], 'slots' => ['Slot A', 'Slot B'], 'tests' => $tests],
    ];
    $bad = [
        'placed' => ['M1' => 'Slot A', 'M2' => 'Slot B'],
        'profile' => 'standard',
        'passes' => 2,
        'outcome' => 'errors',
    ];
    $plan = fit([], [], $sheet([$bad]));
    foreach (['protect.back-up', 'target.erase'] as $step) {
        expect(array_map(fn ($gate) => $gate->fact, $plan->step($step)->gates))->toContain('cleared.memory');
    }
    expect($plan->assessment->all()['memory'])->toMatchArray(['fact' => 'bad', 'trusted' => false, 'settled' => false])
        ->and($plan->assessment->all()['memory']['next'])->not->toBeNull();
    $clean = fit([], [], $sheet([['outcome' => 'clean', 'passes' => 4] + $bad]));
    expect($clean->assessment->all()['memory']['fact'])->toBe('trusted')
        ->and($clean->step('protect.back-up')?->gates)->toBe([])
        ->and(fit([], [], $sheet([]))->assessment->all()['memory']['fact'])->toBe('untested');
});

it('fills the memory sheet in from a reading', function () {
    $module = fn (
        string $slot,
        ?int $gib,
        ?int $set = 3200,
        bool $soldered = false,
    ) => new Cobblestone\Machine\MemoryModule(
        $slot,
        $gib === null ? null : Cobblestone\Quantity\Bytes::of($gib * 1024 ** 3),
        ratedTransfers: 3200,
        setTransfers: $set,
        soldered: $soldered,
    );
    $sheet = Cobblestone\Assessment\Memory\MemorySheet::prefill(...);
    expect($sheet([$module('A', 8), $module('B', null), $module('C', 16)]))
        ->toBe([
            'modules' => ['M1' => 8, 'M2' => 16],
            'slots' => ['A', 'B', 'C'],
            'profile' => 'standard',
            'soldered' => false,
            'tests' => [],
        ])
        ->and($sheet([$module('A', 8, 3600)])['profile'])->toBe('faster')
        ->and($sheet([$module('A', 8, soldered: true)])['soldered'])->toBeTrue()
        ->and($sheet([$module('A', null)]))->toBeNull();
});
