<?php

use Cobblestone\Firmware\BoardFitted;
use Cobblestone\Firmware\UpdatePath;
use Tests\Support\Demo;

$capstan = fn (): array => Demo::catalogue()->machine('brackwater-capstan-t3')->firmware->releases;

it('goes the shortest way through required stops to the lowest that gives what is needed', function (
    string $from,
    ?string $to,
    ?string $gives,
    ?string $processor,
    ?string $revision,
    array $stops,
    ?string $fault,
) use ($capstan) {
    $path = UpdatePath::find($capstan(), $from, $to, $gives, new BoardFitted($processor, $revision));
    expect(array_map(fn ($stop) => $stop->version, $path->stops))->toBe($stops);
    $fault === null ? expect($path->fault)->toBeNull() : expect($path->fault)->toContain($fault);
})->with([
    'through a stop' => ['F5', null, 'newer processors', 'Ostler R5', '2', ['F9', 'F12'], null],
    'from the stop on' => ['F9', null, 'newer processors', 'Ostler R5', '2', ['F12'], null],
    'the newest' => ['F9', null, null, 'Ostler R5', '2', ['F12', 'F14'], null],
    'an older processor stops it' => [
        'F9',
        null,
        'memory above 6000',
        'Ostler R4',
        '2',
        [],
        'No release for this board brings "memory above 6000"',
    ],
    'a stop that would not run it' => [
        'F5',
        null,
        'newer processors',
        'Ostler R6',
        '2',
        [],
        'No way leads from firmware F5 to F12',
    ],
    'asked for by version, not for it' => [
        'F12',
        'F14',
        null,
        'Ostler R4',
        '2',
        [],
        'F14 cannot be written here: it does not run the processor that is fitted (Ostler R4).',
    ],
    'another revision' => [
        'F9',
        'F12',
        null,
        'Ostler R5',
        '1',
        [],
        'F12 cannot be written here: it is for revision 2 of the board, this is revision 1.',
    ],
    'withdrawn' => ['F9', 'F10', null, null, null, [], 'F10 cannot be written here: the maker has withdrawn it.'],
    'there already' => [
        'F14',
        null,
        'newer processors',
        null,
        null,
        [],
        'Firmware F14 is there already; F12 would bring nothing.',
    ],
    'nothing of the kind' => ['F9', null, 'tea', null, null, [], 'No release for this board brings "tea".'],
]);

it('says what it left out and why', function () use ($capstan) {
    $path = UpdatePath::find($capstan(), 'F5', null, 'newer processors', new BoardFitted('Ostler R5', '2'));
    expect($path->leftOut)->toBe([['version' => 'F10', 'because' => 'the maker has withdrawn it.']])
        ->and($path->target)->toBe('F12')
        ->and(UpdatePath::find([], 'F5', null, null)->fault)->toContain('holds no release');
});

it('counts minutes as steps × (write + restart) + entering again', function () use ($capstan) {
    $path = UpdatePath::find($capstan(), 'F9', null, null, new BoardFitted('Ostler R5', '2'));
    expect($path->writing()->inMinutes())->toBe(11.0)
        ->and($path->total(0)->inMinutes())->toBe(5.0 + 2.0 + 6.0 + 4.0)
        ->and($path->total(6)->inMinutes())->toBe(17.0 + 2.0 + 3.0);
});

it('plans an update by board, processor and a way back', function () {
    $brief = [
        'machine' => [
            'model' => 'brackwater-capstan-t3',
            'facts' => [
                'firmware.version' => 'F5',
                'drive.encryption' => 'none',
                'power.load_w' => 120,
                'ups.usable_wh' => 90,
            ],
        ],
        'update' => ['reason' => 'A newer processor comes in.', 'gives' => 'newer processors'],
    ];
    $plan = Demo::plan('firmware-update', $brief);
    expect(array_column($plan->toArray()['questions'], 'fact'))->toContain('board.revision');
    $brief['machine']['facts']['board.revision'] = '2';
    $plan = Demo::plan('firmware-update', $brief);
    $ids = array_map(fn ($step): string => $step->id, $plan->steps);
    expect($plan->blockers)->toBe([])
        ->and($ids)->toContain('firmware.way-back', 'firmware.write-f9', 'firmware.write-f12')
        ->and(array_search('firmware.way-back', $ids, true))->toBeLessThan(array_search(
            'firmware.write-f9',
            $ids,
            true,
        ))
        ->and($plan->step('firmware.way-back')?->evidence)->toBe([])
        ->and(implode(' ', $plan->step('firmware.way-back')?->instructions ?? []))->toContain('small button')
        ->and(array_column($plan->step('firmware.re-enter')?->rows ?? [], 'where'))
        ->toBe([
            'Boot page › Start method', 'Security page › Signed start', 'Security page › Trust other signers',
            'Security page › Security chip', 'Drives page › Drive controller', 'Tuning page › Memory speed',
        ])
        ->and(
            array_values(array_filter(
                $plan->decisions,
                fn ($decision): bool => $decision->id === 'firmware.update',
            ))[0]->reasons[2],
        )
        ->toBe('2 × (write + restart) + 6 settings entered again: about 19 min in all.');
    $brief['machine']['facts']['board.revision'] = '1';
    expect(Demo::plan('firmware-update', $brief)->blockers[0]->reason)->toContain('No release for this board brings');
    $unknown = Demo::plan('firmware-update', [
        'machine' => [
            'model' => 'norrel-fairlead-15-g',
            'facts' => ['drive.encryption' => 'none', 'firmware.version' => '1.0'],
        ],
        'update' => ['reason' => 'x'],
    ]);
    expect($unknown->step('firmware.way-back')?->evidence[0]->id)->toBe('no_way_back_signed');
});
