<?php

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Machine\Certainty;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Source;

it('ranks sources, and knows only what somebody saw at the machine', function (
    Source $source,
    int $rank,
    Certainty $certainty,
) {
    expect($source->rank())->toBe($rank);
    expect($source->certainty())->toBe($certainty);
})->with([
    [Source::Settled, 4, Certainty::Known],
    [Source::Reading, 3, Certainty::Known],
    [Source::Person, 3, Certainty::Known],
    [Source::Catalogue, 2, Certainty::Assumed],
    [Source::KindDefault, 1, Certainty::Assumed],
]);

it('knows which kinds are carried and how each is called', function (Kind $kind, bool $portable, string $title) {
    expect($kind->isPortable())->toBe($portable);
    expect($kind->title())->toBe($title);
})->with([
    [Kind::Desktop, false, 'desktop'],
    [Kind::Laptop, true, 'laptop'],
    [Kind::Handheld, true, 'handheld'],
    [Kind::Sealed, false, 'sealed'],
    [Kind::Any, false, 'any machine'],
]);

it('finds no contradiction in case, spaces or the kind of number', function (
    mixed $first,
    mixed $second,
    int $contradictions,
) {
    $sheet = FactSheet::empty()
        ->with(Fact::of('x', $first, Source::Catalogue, 'a'))
        ->with(Fact::of('x', $second, Source::Reading, 'b'));
    expect($sheet->contradictions)->toHaveCount($contradictions);
})->with([
    ['Norrel', 'NORREL ', 0],
    ['8', 8, 0],
    [8, 8.0, 0],
    ['ÉCLUSE', 'écluse', 0],
    ['8', 9, 1],
    [['a', 'b'], ['a', 'b'], 0],
    [['a', 'b'], ['b', 'a'], 1],
    [['a'], 'a', 1],
    ['a', ['a'], 1],
]);

it('leaves two equal sources to a person, and unequal ones to the rule', function () {
    $sheet = FactSheet::empty()
        ->with(Fact::of('x', 1, Source::Reading, 'lshw'))
        ->with(Fact::of('x', 2, Source::Person, 'Ida'));
    expect($sheet->open())->toHaveCount(1);
    expect($sheet->open()[0]->spoken())->toBe(
        'x: Ida says 2, lshw said 1. The newer one is used until somebody says which is right.',
    );
    $ruled = FactSheet::empty()
        ->with(Fact::of('x', 1, Source::Reading, 'lshw'))
        ->with(Fact::of('x', 2, Source::Catalogue, 'the model'));
    expect($ruled->open())->toBe([]);
    expect($ruled->contradictions[0]->spoken())->toBe(
        'x: lshw says 1, the model said 2. The first is used: it outranks the other.',
    );
    expect($ruled->contradictions[0]->toArray())->toBe([
        'fact' => 'x',
        'kept' => [
            'name' => 'x',
            'value' => 1,
            'certainty' => 'known',
            'source' => 'reading',
            'origin' => 'lshw',
            'at' => null,
        ],
        'set_aside' => [
            'name' => 'x',
            'value' => 2,
            'certainty' => 'assumed',
            'source' => 'catalogue',
            'origin' => 'the model',
            'at' => null,
        ],
        'settled_by' => 'rule',
    ]);
});

it('settles every open contradiction of the fact a person decides, and none of another', function () {
    $sheet = FactSheet::empty()
        ->with(Fact::of('x', 1, Source::Reading, 'lshw'))->with(Fact::of('x', 2, Source::Reading, 'dmidecode'))
        ->with(Fact::of('y', 1, Source::Reading, 'lshw'))->with(Fact::of('y', 2, Source::Reading, 'dmidecode'))
        ->with(Fact::of('x', 1, Source::Settled, 'Ida'));
    expect($sheet->get('x')->value)->toBe(1);
    expect(array_map(fn ($one) => $one->kept->name, $sheet->open()))->toBe(['y']);
    expect($sheet->contradictions)->toHaveCount(2);
    expect($sheet->contradictions[0]->setAside->value)->toBe(2);
    expect($sheet->contradictions[0]->spoken())->toBe('x: Ida says 1, dmidecode said 2. Settled by Ida.');
    expect($sheet->contradictions[0]->settledBy)->toBe('person');
});

it('sets the newer value aside when the person keeps neither order', function () {
    $kept = FactSheet::empty()
        ->with(Fact::of('x', 1, Source::Reading, 'lshw'))
        ->with(Fact::of('x', 2, Source::Reading, 'dmidecode'))
        ->with(Fact::of('x', 2, Source::Settled, 'Ida'));
    expect($kept->contradictions[0]->setAside->value)->toBe(1);
    $third = FactSheet::empty()
        ->with(Fact::of('x', 1, Source::Reading, 'lshw'))
        ->with(Fact::of('x', 2, Source::Reading, 'dmidecode'))
        ->with(Fact::of('x', 3, Source::Settled, 'Ida'));
    expect($third->contradictions[0]->setAside->value)->toBe(2);
});

it('lets no later reading undo what a person settled', function () {
    $sheet = FactSheet::empty()
        ->with(Fact::of('x', 1, Source::Settled, 'Ida'))
        ->with(Fact::of('x', 2, Source::Reading, 'lshw'));
    expect($sheet->get('x')->value)->toBe(1);
    expect($sheet->open())->toBe([]);
    expect($sheet->contradictions[0]->settledBy)->toBe('person');
});

it('comes back from a stored plan, without what nobody knew', function () {
    $sheet = FactSheet::empty()
        ->with(Fact::of('b', 'on', Source::Reading, 'mokutil', '09:10'))
        ->with(Fact::of('a', 3, Source::Catalogue, 'model'))
        ->with(Fact::unknown('c'));
    $back = FactSheet::read(array_map(Fields::of(...), $sheet->toArray()));
    expect(array_keys($back->all()))->toBe(['a', 'b']);
    expect($back->get('b'))->toEqual($sheet->get('b'));
    expect($back->get('a')->certainty)->toBe(Certainty::Assumed);
    $stored = ['name' => 'x', 'value' => 1, 'certainty' => 'known', 'source' => 'reading', 'origin' => 'y'];
    $read = fn (array $with): FactSheet => FactSheet::read([Fields::of([...$stored, ...$with], 'facts.0')]);
    expect($read([])->get('x')->at)
        ->toBeNull()
        ->and($read(['source' => null])->all())
        ->toBe([])
        ->and(fn () => $read(['source' => 'rumour']))
        ->toThrow(FieldFault::class, 'facts.0.source');
});

it('compares a fact\'s value as it stands', function () {
    $fact = Fact::of('x', '1', Source::Reading, 'a');
    expect($fact->is('1'))->toBeTrue();
    expect($fact->is(1))->toBeFalse();
    expect($fact->isUnknown())->toBeFalse();
});
