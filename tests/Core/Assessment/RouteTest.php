<?php

use Cobblestone\Assessment\Route\RouteLadder;
use Cobblestone\Catalogue\Condition;
use Tests\Support\Demo;

it('tells holds from fails from not known yet', function (array $condition, array $known, ?bool $holds) {
    expect(Condition::fromArray(['fact' => 'x', ...$condition])->holds(facts($known)))->toBe($holds);
})->with([
    [['is' => 'yes'], ['x' => 'yes'], true],
    [['is' => 'yes'], ['x' => 'YES '], true],
    [['is' => 'yes'], ['x' => 'no'], false],
    [['is' => 'yes'], [], null],
    [['is' => 'yes'], ['x' => true], true],
    [['is' => true], ['x' => 'yes'], true],
    [['not' => 'a'], ['x' => 'b'], true],
    [['not' => 'a'], ['x' => 'a'], false],
    [['in' => ['a', 'b']], ['x' => 'b'], true],
    [['in' => ['a', 'b']], ['x' => 'c'], false],
    [['in' => ['a']], ['x' => ['c', 'a']], true],
    [['not' => 'a'], ['x' => ['c', 'a']], false],
    [['at_least' => 10], ['x' => '9'], false],
    [['at_least' => '7.10'], ['x' => '7.9'], false],
    [['at_least' => '7.9'], ['x' => '7.10'], true],
    [['at_least' => 10], ['x' => 10], true],
    [['below' => 10], ['x' => 9], true],
    [['below' => 10], ['x' => 10], false],
    [['known' => true], [], false],
    [['known' => true], ['x' => 1], true],
    [['known' => false], [], true],
    [[], ['x' => 1], true],
    [[], [], false],
]);

it('says why each gentler rung is out', function () {
    $advice = RouteLadder::of(Demo::catalogue()->routes())->recommend(facts([
        ...COMMERCIAL,
        'symptom.starts' => 'no',
        'symptom.since' => 'driver',
        'recovery.environment' => 'no',
        'restore.point' => 'no',
        'tried' => 'take-back',
    ]));
    expect($advice->rung?->id)->toBe('boot-files')
        ->and($advice->provisional)->toBeFalse()
        ->and($advice->settles)->toBeNull();
    $ladder = array_column($advice->ladder, null, 'id');
    expect($ladder['startup-repair'])->toMatchObject([
        'standing' => 'out',
        'why' => ['Its recovery environment does not open.'],
    ])
        ->and($ladder['take-back']->why[0])->toBe('Tried already, and it did not help.')
        ->and($ladder['channel']->why)->toContain('This system has no channels.')
        ->and($ladder['clean'])->toMatchObject([
            'standing' => 'harsher',
            'why' => ['A gentler way can work.'],
            'keeps' => [],
        ]);
    expect(array_keys($advice->decision->refused))->toHaveCount(8)
        ->and($advice->decision->reasons[0])->toBe('It keeps files, programs and settings.')
        ->and($advice->decision->facts)->toContain('symptom.starts = no');
});

it('names the one answer that would change it most', function () {
    $known = COMMERCIAL;
    unset($known['recovery.environment'], $known['factory.image'], $known['wish.original']);
    $advice = RouteLadder::of(Demo::catalogue()->routes())->recommend(facts([
        ...$known,
        'symptom.starts' => 'recovery',
        'symptom.since' => 'nothing',
        'restore.point' => 'no',
        'tried' => 'file-system, system-files, boot-files, reset',
    ]));
    expect($advice->rung?->id)->toBe('clean')
        ->and($advice->provisional)->toBeTrue()
        ->and($advice->settles?->fact)->toBe('recovery.environment')
        ->and($advice->decision->chosen)->toBe(
            'Start-up repair from the recovery environment, if an answer allows it; else clean install from a stick',
        )
        ->and($advice->settles?->options)->toBe(['yes' => 'yes', 'no' => 'no']);
});

it('never chooses a way that loses files while a gentler one is possible', function () {
    $ladder = RouteLadder::of(Demo::catalogue()->routes());
    $questions = array_values(Demo::catalogue()->all('routes'))[0]['questions'];
    mt_srand(7);
    for ($i = 0; $i < 120; $i++) {
        $known = [
            'system.family' => ['commercial', 'community', 'handheld', 'sealed'][mt_rand(0, 3)],
            'hardware.suspect' => 'no',
            'fit' => 'fits',
            'present.build_reaches' => 'yes',
        ];
        foreach ($questions as $fact => $ask) {
            if (mt_rand(0, 2) > 0) {
                $options = array_keys($ask['options']);
                $known[$fact] = (string) $options[mt_rand(0, count($options) - 1)];
            }
        }
        $advice = $ladder->recommend(facts($known));
        $again = $ladder->recommend(facts($known));
        expect($again->found())->toEqual($advice->found());
        $standing = array_column($advice->ladder, 'standing');
        $at = array_search('recommended', $standing, true);
        expect($advice->provisional)->toBe(in_array(
            'possible',
            $at === false ? $standing : array_slice($standing, 0, (int) $at),
            true,
        ));
        if ($at !== false) {
            expect(array_slice($standing, 0, (int) $at))->not->toContain('harsher')
                ->and(array_count_values($standing)['recommended'])->toBe(1);
        }
        if ($advice->settles !== null) {
            expect(isset($known[$advice->settles->fact]))->toBeFalse();
        }
    }
});
