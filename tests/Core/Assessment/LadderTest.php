<?php

use Cobblestone\Assessment\Route\RouteLadder;
use Cobblestone\Catalogue\RouteTable;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Source;

/** A ladder of three rungs, given out of order. */
function smallLadder(): RouteLadder
{
    return RouteLadder::of(RouteTable::fromArray([
        'id' => 'small', 'name' => 'Small', 'as_of' => '2026-11', 'source' => 'x',
        'questions' => [
            'disk' => ['text' => 'Is the disk sound?', 'options' => ['yes' => 'yes', 'no' => 'no']],
            'medium' => ['text' => 'Is there a medium?', 'options' => ['yes' => 'yes', 'no' => 'no']],
        ],
        'rungs' => [
            [
                'id' => 'wipe',
                'order' => 30,
                'title' => 'Install clean',
                'keeps' => [],
                'path' => 'clean-install',
                'only_if' => [],
            ],
            [
                'id' => 'mend',
                'order' => 10,
                'title' => 'Mend it',
                'keeps' => ['files', 'programs', 'settings'],
                'writes' => false,
                'only_if' => [['fact' => 'disk', 'is' => 'yes', 'else' => 'The disk is not sound.']],
            ],
            [
                'id' => 'over',
                'order' => 20,
                'title' => 'Install over it',
                'keeps' => ['files', 'settings'],
                'only_if' => [
                    ['fact' => 'medium', 'is' => 'yes', 'else' => 'There is no medium.'],
                    ['fact' => 'odd.fact', 'not' => 'bad', 'else' => 'It is odd.'],
                ],
            ],
        ],
    ]));
}

/** @param  array<string, mixed>  $known */
function knowing(array $known): FactSheet
{
    $sheet = FactSheet::empty();
    foreach ($known as $name => $value) {
        $sheet = $sheet->with(Fact::of($name, $value, Source::Person, 'test'));
    }

    return $sheet;
}

it('sorts its rungs, gentlest first, and finds one by name', function () {
    expect(array_column(smallLadder()->recommend(knowing([]))->ladder, 'id'))->toBe(['mend', 'over', 'wipe']);
    expect(smallLadder()->rung('over')?->title)->toBe('Install over it');
    expect(smallLadder()->rung('none'))->toBeNull();
});

it('knows what a rung keeps and whether it writes', function (
    string $id,
    bool $losesFiles,
    bool $writes,
    ?string $path,
) {
    $rung = smallLadder()->rung($id);
    expect([$rung?->losesFiles(), $rung?->writes, $rung?->path?->value])->toBe([$losesFiles, $writes, $path]);
})->with([['mend', false, false, null], ['over', false, true, null], ['wipe', true, true, 'clean-install']]);

it('stands every rung where the facts put it', function (
    array $known,
    array $standings,
    ?string $recommended,
    string $chosen,
    string $reason,
    bool $provisional,
    ?string $settles,
) {
    $advice = smallLadder()->recommend(knowing($known));
    expect(array_column($advice->ladder, 'standing'))->toBe($standings);
    expect($advice->rung?->id)->toBe($recommended);
    expect($advice->decision->chosen)->toBe($chosen);
    expect($advice->decision->reasons[0])->toBe($reason);
    expect($advice->provisional)->toBe($provisional);
    expect($advice->settles?->fact)->toBe($settles);
})->with([
    'all known, gentlest works' => [
        ['disk' => 'yes', 'medium' => 'yes', 'odd.fact' => 'fine'],
        ['recommended', 'harsher', 'harsher'],
        'mend',
        'Mend it',
        'It keeps files, programs and settings.',
        false,
        null,
    ],
    'the second' => [
        ['disk' => 'no', 'medium' => 'yes', 'odd.fact' => 'fine'],
        ['out', 'recommended', 'harsher'],
        'over',
        'Install over it',
        'It keeps files and settings; it loses programs.',
        false,
        null,
    ],
    'the last' => [
        ['disk' => 'no', 'medium' => 'no'],
        ['out', 'out', 'recommended'],
        'wipe',
        'Install clean',
        'It keeps nothing on the drive.',
        false,
        null,
    ],
    'nothing known' => [
        [],
        ['possible', 'possible', 'recommended'],
        'wipe',
        'Mend it, if an answer allows it; else install clean',
        'It keeps nothing on the drive.',
        true,
        'disk',
    ],
    'a fact nobody can be asked for' => [
        ['disk' => 'no', 'medium' => 'yes'],
        ['out', 'possible', 'recommended'],
        'wipe',
        'Install over it, if an answer allows it; else install clean',
        'It keeps nothing on the drive.',
        true,
        null,
    ],
    'tried already' => [
        ['disk' => 'yes', 'medium' => 'no', 'tried' => 'mend'],
        ['out', 'out', 'recommended'],
        'wipe',
        'Install clean',
        'It keeps nothing on the drive.',
        false,
        null,
    ],
    'several tried' => [
        ['disk' => 'yes', 'tried' => 'mend, over, wipe'],
        ['out', 'out', 'out'],
        null,
        'none can work as things stand',
        'Every rung is out; see why beside each.',
        false,
        null,
    ],
    'several tried, as a list' => [
        ['disk' => 'yes', 'tried' => ['mend', 'over', 'wipe']],
        ['out', 'out', 'out'],
        null,
        'none can work as things stand',
        'Every rung is out; see why beside each.',
        false,
        null,
    ],
]);

it('says beside each rung why it is not the one', function () {
    $rows = array_column(smallLadder()->recommend(knowing(['disk' => 'no', 'medium' => 'yes']))->ladder, 'why', 'id');
    expect($rows)->toBe(['mend' => ['The disk is not sound.'], 'over' => ['Not known: odd fact.'], 'wipe' => []]);
    $asked = array_column(smallLadder()->recommend(knowing(['odd.fact' => 'fine']))->ladder, 'why', 'id');
    expect($asked['mend'])->toBe(['Not known: is the disk sound.']);
    $harsher = array_column(smallLadder()->recommend(knowing(['disk' => 'yes']))->ladder, null, 'id');
    expect($harsher['over']->why)->toBe(['Not known: is there a medium; odd fact.']);
    expect($harsher['over']->standing)->toBe('harsher');
    expect($harsher['wipe']->why)->toBe(['A gentler way can work.']);
});

it('refuses the gentler rungs by name and records what it went by', function () {
    $decision = smallLadder()->recommend(knowing(['disk' => 'no', 'medium' => 'yes']))->decision;
    expect($decision->refused)->toBe([
        'Mend it' => ['The disk is not sound.'],
        'Install over it' => ['Not known: odd fact.'],
    ]);
    expect($decision->reasons[1])->toBe('A gentler way is still possible: more has to be known.');
    expect($decision->facts)->toBe(['disk = no', 'medium = yes']);
    expect(smallLadder()->recommend(knowing([]))->decision->reasons[1])
        ->toBe('A gentler way is still possible: "Is the disk sound?" would settle most.');
});

it('gives its advice as the page wants it', function () {
    $advice = smallLadder()->recommend(knowing(['disk' => 'yes']))->found()->toArray();
    expect([$advice['recommended'], $advice['title'], $advice['provisional'], $advice['settles']])
        ->toBe(['mend', 'Mend it', false, null]);
    expect($advice['ladder'][0])->toBe([
        'id' => 'mend',
        'title' => 'Mend it',
        'standing' => 'recommended',
        'why' => [],
        'keeps' => ['files', 'programs', 'settings'],
    ]);
    expect(smallLadder()->recommend(knowing(['tried' => 'mend, over, wipe']))->found()->recommended)->toBeNull();
});

/**
 * @param  list<list<string>>  $rungs  gentlest first: the facts that each wants to be "yes"
 * @param  list<string>  $facts  in the order they are asked
 */
function ladderOf(array $rungs, array $facts): RouteLadder
{
    $ask = ['text' => 'Is it?', 'options' => ['yes' => 'yes', 'no' => 'no']];

    return RouteLadder::of(RouteTable::fromArray([
        'id' => 'l', 'name' => 'L', 'as_of' => '2026-11', 'source' => 'x', 'questions' => array_fill_keys($facts, $ask),
        'rungs' => array_map(fn (array $wants, int $index): array => [
            'id' => "r{$index}", 'order' => $index, 'title' => "Rung {$index}",
            'only_if' => array_map(
                fn (string $fact): array => ['fact' => $fact, 'is' => 'yes', 'else' => 'It is not.'],
                $wants,
            ),
        ], $rungs, array_keys($rungs)),
    ]));
}

it('asks first what moves the recommendation, before what only closes rungs', function () {
    // B or C alone can only close the four gentlest rungs; A alone opens the next one.
    $ladder = ladderOf([['b', 'c'], ['b', 'c'], ['b', 'c'], ['b', 'c'], ['a'], []], ['b', 'c', 'a']);
    expect($ladder->recommend(knowing([]))->settles?->fact)->toBe('a');
});

it('asks what closes a rung where no answer alone moves anything', function () {
    expect(ladderOf([['b', 'c'], []], ['b', 'c'])->recommend(knowing([]))->settles?->fact)->toBe('b')
        ->and(ladderOf([['b', 'c'], ['c'], []], ['b', 'c'])->recommend(knowing([]))->settles?->fact)->toBe('c');
});
