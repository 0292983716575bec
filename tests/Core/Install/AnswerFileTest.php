<?php

use Cobblestone\Brief\FirstBootBlock;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Install\AnswerFile;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Revision;
use Tests\Support\Demo;
use Tests\Support\Entries;

/** @param  array<string, mixed>  $more */
function answeringSystem(array $more = []): SystemProfile
{
    return Entries::system([
        'build' => 7200,
        'first_boot' => ['minutes' => [1, 2, 3], 'rows' => [['ask' => 'Region', 'id' => 'region']]],
        'answer_file' => [
            'format' => 'xml', 'path' => 'a/first.xml', 'as_of' => '2026-11-01', 'answers' => ['region'],
            'template' => '<a/>',
        ],
        ...$more,
    ]);
}

it('puts a file on a stick onto which files are copied, before anything is erased', function () {
    $file = AnswerFile::of(answeringSystem(), true, Policy::of());
    $step = $file->contribution->steps[0];
    expect($file->waits())->toBe([PathFact::ANSWERS_PLACED])
        ->and($step->id)->toBe('media.answers')
        ->and([$step->before, $step->after])->toBe([[PathFact::STICK_WRITTEN], [PathFact::ANSWERS_PLACED]])
        ->and($step->instructions[0])->toContain('`a/first.xml`')
        ->and($step->evidence[0]->expected?->value)->toBe('equal')
        ->and($file->contribution->decisions[0]->chosen)->toBe('by a file on the stick, a/first.xml')
        ->and($file->contribution->decisions[0]->reasons[0])->toStartWith('1 of 1 questions');
});

it('answers by hand where the stick takes no file, or the bench wants none', function (
    bool $copied,
    array $policy,
    string $because,
) {
    $file = AnswerFile::of(answeringSystem(), $copied, Policy::of($policy));
    expect($file->profile)->toBeNull()->and($file->waits())->toBe([])
        ->and($file->contribution->steps)->toBe([])
        ->and($file->contribution->decisions[0]->chosen)->toBe('from the list, by hand')
        ->and($file->contribution->decisions[0]->reasons[0])->toContain($because);
})->with([
    'written raw' => [false, [], 'written raw'],
    'the policy' => [true, ['answers' => 'list'], 'The bench answers by hand'],
]);

it('decides nothing where the system takes no file', function () {
    $file = AnswerFile::of(Entries::system(), true, Policy::of());
    expect($file->contribution->decisions)->toBe([])->and($file->waits())->toBe([]);
});

it('lets a template say what this job says, and nothing secret', function () {
    $bare = AnswerFile::values(answeringSystem(), new FirstBootBlock(), Policy::of(), null, []);
    expect($bare)->toBe([
        'computer_name' => '', 'region' => 'Quillport harbour', 'keyboard' => 'Quillport harbour layout',
        'use' => 'personal', 'account' => 'local', 'restore' => 'new', 'diagnostics' => 'least', 'offers' => 'no',
        'updates' => 'later', 'encryption' => 'on', 'edition' => '', 'bypass' => [],
    ]);
    $said = new FirstBootBlock('QF-09', 'Skerry', 'rope', 'work', 'online-first', 'restore');
    $open = Policy::of(['auto_encryption' => 'off']);
    $values = AnswerFile::values(answeringSystem(), $said, $open, 'Dock', ['memory']);
    expect(array_intersect_key($values, array_flip([
        'computer_name', 'region', 'keyboard', 'use', 'account', 'restore', 'encryption', 'edition', 'bypass',
    ])))->toBe([
        'computer_name' => 'QF-09', 'region' => 'Skerry', 'keyboard' => 'rope', 'use' => 'work', 'account' => 'online',
        'restore' => 'restore', 'encryption' => 'off', 'edition' => 'Dock', 'bypass' => ['memory'],
    ]);
});

it('asks for an account with the publisher where the known way does not work', function () {
    $system = answeringSystem(['first_boot' => [
        'minutes' => [1, 2, 3],
        'rows' => [['ask' => 'Region', 'id' => 'region']],
        'local_account' => ['way' => 'w', 'as_of' => '2026-01-01', 'later' => 'l', 'to_build' => 7199],
    ]]);
    expect(AnswerFile::values($system, new FirstBootBlock(), Policy::of(), null, [])['account'])->toBe('online');
});

it('is another file, and another stone, where the answers or the template are others', function () {
    $of = static fn (SystemProfile $system, array $values): string => AnswerFile::of(
        $system,
        true,
        Policy::of(),
        $values,
    )->contribution->steps[0]->id;
    $one = $of(answeringSystem(), ['region' => 'here']);
    $template = ['format' => 'xml', 'path' => 'a.xml', 'as_of' => '2026-11-01', 'template' => '<b/>'];
    expect($one)->toMatch('/^media\.answers-[0-9a-f]{8}$/')
        ->and($of(answeringSystem(), ['region' => 'here']))->toBe($one)
        ->and($of(answeringSystem(), ['region' => 'there']))->not->toBe($one)
        ->and($of(answeringSystem(['answer_file' => $template]), ['region' => 'here']))->not->toBe($one);
    $file = AnswerFile::of(answeringSystem(), true, Policy::of(), ['region' => 'here']);
    expect($file->waits())->toBe($file->contribution->steps[0]->after)
        ->and(PathFact::spoken($file->waits()[0]))->toBe('the answer file is on the stick');
});

it('asks for the file again where an answer changed meanwhile, and not once the drive is erased', function () {
    $stones = static fn (Plan $plan): array => array_values(array_filter(
        array_map(static fn ($step): string => $step->id, $plan->steps),
        static fn (string $id): bool => str_starts_with($id, 'media.answers'),
    ));
    $old = Demo::plan('fairlead-13');
    $new = Demo::plan('fairlead-13', ['first_boot' => ['region' => 'Skerry']]);
    $ids = array_map(static fn ($step): string => $step->id, $old->steps);
    $upTo = static fn (string $id): array => array_slice($ids, 0, array_search($id, $ids, true) + 1);
    [$laid, $again] = [$stones($old)[0], $stones($new)[0]];
    $before = Revision::keeping($old, $new, $upTo($laid));
    expect($again)->not->toBe($laid)
        ->and($stones($before))->toBe([$laid, $again])
        ->and($before->step('target.erase')?->before)->toContain($before->step($again)?->after[0])
        ->and($stones(Revision::keeping($old, $new, $upTo('target.erase'))))->toBe([$laid])
        ->and($stones(Revision::keeping($old, $old, $upTo($laid))))->toBe([$laid]);
});
