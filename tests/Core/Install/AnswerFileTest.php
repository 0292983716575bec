<?php

use Cobblestone\Brief\FirstBootBlock;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Install\AnswerFile;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\PathFact;
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
