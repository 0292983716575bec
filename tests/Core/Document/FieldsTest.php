<?php

use Cobblestone\Document\Copy;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Model\Hub;
use Cobblestone\Machine\Port;

it('gives each field as its type', function () {
    $fields = Fields::of([
        'text' => 'a',
        'whole' => 3,
        'round' => 4.0,
        'part' => 0.5,
        'yes' => true,
        'kind' => 'laptop',
        'texts' => ['x', 'y'],
        'numbers' => [1, 2.5],
        'words' => ['a' => 'b'],
        'scalars' => ['a' => 1, 'b' => false],
        'facts' => ['a' => 'b', 'c' => ['d']],
        'block' => ['in' => 'x'],
        'blocks' => [['n' => 1], ['n' => 2]],
        'rows' => [['a'], ['b', 'c']],
        'object' => (object) ['a' => 'b'],
        'kinds' => ['laptop', 'any'],
        'records' => [['a' => 'b']],
        'maps' => [['a' => [1]]],
    ]);
    expect($fields->string('text'))
        ->toBe('a')
        ->and($fields->int('whole'))
        ->toBe(3)
        ->and($fields->int('round'))
        ->toBe(4)
        ->and($fields->number('part'))
        ->toBe(0.5)
        ->and($fields->bool('yes'))
        ->toBeTrue()
        ->and($fields->scalar('whole'))
        ->toBe(3)
        ->and($fields->oneOf('text', ['a', 'b']))
        ->toBe('a')
        ->and($fields->enum('kind', Kind::class))
        ->toBe(Kind::Laptop)
        ->and($fields->strings('texts', ['x', 'y', 'z']))
        ->toBe(['x', 'y'])
        ->and($fields->numbers('numbers'))
        ->toBe([1, 2.5])
        ->and($fields->words('words'))
        ->toBe(['a' => 'b'])
        ->and($fields->words('object'))
        ->toBe(['a' => 'b'])
        ->and($fields->scalars('scalars'))
        ->toBe(['a' => 1, 'b' => false])
        ->and($fields->facts('facts'))
        ->toBe(['a' => 'b', 'c' => ['d']])
        ->and($fields->block('block')->string('in'))
        ->toBe('x')
        ->and($fields->block('block')->path('in'))
        ->toBe('block.in')
        ->and($fields->each('blocks', fn (Fields $one): int => $one->int('n')))
        ->toBe([1, 2])
        ->and($fields->rows('rows'))
        ->toBe([['a'], ['b', 'c']])
        ->and($fields->optional('block', fn (Fields $one): string => $one->string('in')))
        ->toBe('x')
        ->and($fields->enums('kinds', Kind::class))
        ->toBe([Kind::Laptop, Kind::Any])
        ->and($fields->records('records'))
        ->toBe([['a' => 'b']])
        ->and($fields->maps('maps'))
        ->toBe([['a' => [1]]])
        ->and($fields->map('words'))
        ->toBe(['a' => 'b']);
});

it('takes a field that is not there for nothing, where it may be missing', function () {
    $none = Fields::of([]);
    expect([
        $none->optionalString('a'),
        $none->optionalInt('a'),
        $none->optionalNumber('a'),
        $none->optionalBool('a'),
        $none->optionalScalar('a'),
    ])
        ->toBe([null, null, null, null, null])
        ->and([
            $none->optionalOneOf('a', ['b']),
            $none->optionalEnum('a', Kind::class),
            $none->optionalBlock('a'),
            $none->told('a'),
        ])
        ->toBe([null, null, null, null])
        ->and([
            $none->strings('a'),
            $none->numbers('a'),
            $none->words('a'),
            $none->blocks('a'),
            $none->facts('a'),
            $none->map('a'),
        ])
        ->toBe([[], [], [], [], [], []])
        ->and($none->has('a'))
        ->toBeFalse()
        ->and(Fields::of(['a' => null])->has('a'))
        ->toBeFalse();
});

it('names the place and what is wanted there', function (Closure $read, string $says) {
    $fields = Fields::of(
        [
            'n' => 1,
            't' => 'x',
            'half' => 0.5,
            'list' => ['a', 2],
            'map' => ['a' => []],
            'blocks' => [[], 'x'],
            'kind' => 'boat',
            'kinds' => ['boat'],
        ],
        'top',
    );
    expect(fn () => $read($fields))->toThrow(FieldFault::class, $says);
})->with([
    [fn (Fields $f) => $f->string('n'), 'top.n: a text is wanted.'],
    [fn (Fields $f) => $f->string('none'), 'top.none: a text is wanted.'],
    [fn (Fields $f) => $f->int('half'), 'top.half: a whole number is wanted.'],
    [fn (Fields $f) => $f->int('t'), 'top.t: a whole number'],
    [fn (Fields $f) => $f->int('none'), 'top.none: a whole number'],
    [fn (Fields $f) => $f->number('t'), 'top.t: a number is wanted.'],
    [fn (Fields $f) => $f->number('none'), 'top.none: a number'],
    [fn (Fields $f) => $f->bool('n'), 'top.n: yes or no is wanted.'],
    [fn (Fields $f) => $f->bool('none'), 'top.none: yes or no'],
    [fn (Fields $f) => $f->scalar('list'), 'top.list: a single value is wanted.'],
    [fn (Fields $f) => $f->scalar('none'), 'top.none: a single value'],
    [fn (Fields $f) => $f->oneOf('t', ['y', 'z']), 'top.t: choose one of y, z.'],
    [fn (Fields $f) => $f->oneOf('none', ['y']), 'top.none: choose one of y.'],
    [fn (Fields $f) => $f->enum('kind', Kind::class), 'top.kind: choose one of desktop, laptop'],
    [fn (Fields $f) => $f->enum('none', Kind::class), 'top.none: choose one of desktop'],
    [fn (Fields $f) => $f->enum('n', Kind::class), 'top.n: choose one of'],
    [fn (Fields $f) => $f->strings('list'), 'top.list.1: a text is wanted.'],
    [fn (Fields $f) => $f->strings('t'), 'top.t: a list is wanted.'],
    [fn (Fields $f) => $f->strings('list', ['b']), 'top.list.0: choose one of b.'],
    [fn (Fields $f) => $f->numbers('list'), 'top.list.0: a number is wanted.'],
    [fn (Fields $f) => $f->words('list'), 'top.list.1: a text is wanted.'],
    [fn (Fields $f) => $f->scalars('map'), 'top.map.a: a single value'],
    [fn (Fields $f) => $f->block('none'), 'top.none: a block of fields is wanted.'],
    [fn (Fields $f) => $f->block('t'), 'top.t: a block of fields'],
    [fn (Fields $f) => $f->blocks('blocks'), 'top.blocks.1: a block of fields'],
    [fn (Fields $f) => $f->wants('t', 'none'), 'top.none: it is wanted.'],
    [fn (Fields $f) => $f->enums('kinds', Kind::class), 'top.kinds.0: choose one of'],
    [fn (Fields $f) => Fields::of('x', 'here'), 'here: a block of fields is wanted.'],
]);

it('writes a value as its document, and leaves out what says nothing', function () {
    expect((new Port('c', 'usb-c', 'left', 480, side: 'left'))->toArray())
        ->toBe([
            'id' => 'c',
            'connector' => 'usb-c',
            'where' => 'left',
            'megabits_per_second' => 480,
            'side' => 'left',
        ])
        ->and((new Hub(65, 5))->toArray())
        ->toBe(['charger_w' => 65, 'hub_w' => 5])
        ->and(Written::of(new Hub(0, 5)))
        ->toBe(['charger_w' => 0, 'hub_w' => 5])
        ->and(Written::of(new Port('c', 'usb-c', 'left', 480), ['charges']))
        ->toHaveKey('charges', false);
});

it('copies a value with a change', function () {
    $hub = new Hub(45, 5);
    expect(Copy::of($hub, ['chargerW' => 45, 'hubW' => 5], ['hubW' => 7]))
        ->toEqual(new Hub(45, 7))
        ->and($hub->hubW)
        ->toBe(5);
});
