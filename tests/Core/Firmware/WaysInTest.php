<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Firmware\Press;
use Cobblestone\Firmware\PressSequence;
use Cobblestone\Firmware\RankedWay;
use Cobblestone\Firmware\WayIn;
use Cobblestone\Job\MachineBuilder;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Model\KnownWay;
use Cobblestone\Machine\Model\Move;
use Tests\Support\Demo;

it('times a held combination from the first hold to letting go', function () {
    $sequence = PressSequence::of(new KnownWay('hold', 'volume up', 'power', 4));
    expect($sequence->presses)
        ->toEqual([new Press('volume up', 0, 5.0), new Press('power', 1.0, 1.4)])
        ->and(array_column($sequence->marks, 'at'))
        ->toBe([0.0, 1.0, 5.0])
        ->and($sequence->marks[2]['words'])
        ->toBe('Let go of volume up.')
        ->and($sequence->seconds)
        ->toBe(6.0)
        ->and($sequence->lanes())
        ->toBe(['volume up', 'power']);
});

it('times tapping after the power button', function () {
    $sequence = PressSequence::of(KnownWay::tap('F10'));
    expect($sequence->presses)
        ->toEqual([new Press('power', 0, 0.4), new Press('F10', 0.4, 8.0, true)])
        ->and($sequence->lanes())
        ->toBe(['power', 'F10'])
        ->and($sequence->seconds)
        ->toBe(9.0)
        ->and(implode(' ', array_column($sequence->marks, 'words')))
        ->toBe('Press power. Tap F10, twice a second. Nothing yet? Missed: power fully off, once more, earlier.');
});

it('times a sealed machine\'s moves, holds and releases', function () {
    $sequence = PressSequence::ofMoves(
        array_map(Move::fromArray(...), [
            ['do' => 'Wait.', 'seconds' => 10],
            ['do' => 'Hold', 'hold' => 'button', 'seconds' => 2],
            ['do' => 'Press', 'press' => 'lead'],
            ['do' => 'Let go', 'release' => 'button', 'seconds' => 3],
            ['do' => 'Hold on', 'hold' => 'other', 'seconds' => 4],
        ]),
    );
    expect($sequence->presses)
        ->toEqual([new Press('lead', 12.0, 12.4), new Press('button', 10.0, 13.0), new Press('other', 16.0, 20.0)])
        ->and($sequence->marks[0])
        ->toBe(['at' => 0.0, 'words' => 'Wait.'])
        ->and($sequence->marks[4])
        ->toBe(['at' => 16.0, 'words' => 'Hold on.'])
        ->and($sequence->seconds)
        ->toBe(20.0)
        ->and($sequence->lanes())
        ->toBe(['button', 'lead', 'other'])
        ->and(PressSequence::ofMoves([])->seconds)
        ->toBe(1.0);
});

it('makes a sequence of every way in the catalogue', function () {
    foreach (Demo::catalogue()->machines() as $model) {
        foreach (['menu', 'setup', 'recovery'] as $which) {
            foreach ($model->firmware?->waysIn->to($which) ?? [] as $way) {
                expect(PressSequence::of($way)->seconds)->toBeGreaterThan(4.0);
            }
        }
        if ($model->recovery !== null) {
            $sequence = PressSequence::ofMoves($model->recovery->sequence);
            expect($sequence->presses)
                ->not->toBe([])
                ->and(max(array_map(fn (Press $press): float => $press->to, $sequence->presses)))
                ->toBeLessThanOrEqual($sequence->seconds);
        }
    }
});

it('ranks by where a way is known from, and by what it did here', function () {
    $tap = fn (string $key, int $worked = 0, int $missed = 0): KnownWay => new KnownWay(
        'tap',
        $key,
        confirmed: $worked,
        missed: $missed,
    );
    $order = fn (array $ranked): array => array_map(
        fn (RankedWay $way): string => "{$way->way->key} {$way->from}",
        $ranked,
    );
    expect($order(RankedWay::rank([$tap('F2')], [$tap('Del')], [$tap('F10'), $tap('F2'), $tap('Esc')])))
        ->toBe(['F2 model', 'Del maker', 'F10 kind', 'Esc kind'])
        ->and($order(RankedWay::rank([$tap('F2', 0, 4)], [$tap('Del', 3)], [])))
        ->toBe(['Del maker', 'F2 model'])
        ->and(RankedWay::rank([$tap('F2', 6)], [], [])[0]->percent())
        ->toBe(95)
        ->and(RankedWay::rank([$tap('F2')], [], [])[0]->percent())
        ->toBe(80)
        ->and(RankedWay::rank([$tap('F2', 6, 1)], [], [])[0]->confidence)
        ->toBeLessThan(RankedWay::rank([$tap('F2', 6)], [], [])[0]->confidence)
        ->and(RankedWay::rank([$tap('F2', 7)], [], [])[0]->confidence)
        ->toBeGreaterThan(RankedWay::rank([$tap('F2', 6)], [], [])[0]->confidence)
        ->and((new KnownWay('hold', 'a', 'b'))->name())
        ->toBe('hold a + b')
        ->and($tap('x')->name())
        ->toBe('tap x');
});

it('uses the maker\'s ways for a model of which none is known', function () {
    $catalogue = Demo::catalogue()->with('machines', [
        'bare' => [
            'id' => 'bare',
            'maker' => 'Norrel',
            'name' => 'Bare',
            'kind' => 'laptop',
            'as_of' => '2026-11-01',
            'source' => 'x',
        ],
    ]);
    [$machine] = MachineBuilder::build(
        Brief::fromArray(['brief' => 1, 'title' => 'x', 'machine' => ['model' => 'bare']]),
        $catalogue,
    );
    $way = WayIn::menu($machine);
    expect($way->forThisModel)
        ->toBeFalse()
        ->and($way->ways[0]->key)
        ->toBe('F10')
        ->and($way->source)
        ->toStartWith('usual for Norrel')
        ->and(count($way->ranking))
        ->toBeGreaterThan(2)
        ->and(WayIn::recovery($machine)->ranking[0]->way->key)
        ->toBe('F7');
    [$known] = MachineBuilder::build(Brief::fromArray(Demo::brief('fairlead-13')), Demo::catalogue());
    expect(WayIn::menu($known)->source)
        ->toContain('Worked 5 times on this model')
        ->and($known->kind)
        ->toBe(Kind::Laptop);
});
