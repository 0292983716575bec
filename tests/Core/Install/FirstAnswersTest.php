<?php

use Cobblestone\Brief\BriefFault;
use Cobblestone\Brief\FirstBootBlock;
use Cobblestone\Catalogue\LocalAccount;
use Cobblestone\Catalogue\NameRule;
use Cobblestone\Install\ComputerName;
use Cobblestone\Install\FirstAnswer;
use Cobblestone\Install\FirstAnswers;
use Cobblestone\Policy\Policy;
use Tests\Support\Entries;

/**
 * @param  array<string, mixed>  $profile
 * @param  array<string, string>  $policy
 */
function answerTo(string $id, array $profile = [], ?FirstBootBlock $said = null, array $policy = []): FirstAnswer
{
    $system = Entries::system([
        'build' => 7200,
        'first_boot' => ['minutes' => [1, 2, 3], 'rows' => [['ask' => 'What, then', 'id' => $id]], ...$profile],
    ]);

    return FirstAnswers::of($system, $said ?? new FirstBootBlock(), Policy::of($policy))[0];
}

it('answers from the job, else from the bench, and says which', function (
    string $id,
    FirstBootBlock $said,
    array $policy,
    string $answer,
    string $because,
) {
    $found = answerTo($id, [], $said, $policy);
    expect($found->answer)->toContain($answer)->and($found->because)->toContain($because)
        ->and($found->tick())->toBe('What  then');
})->with([
    ['region', new FirstBootBlock(), [], 'Quillport harbour', 'bench policy'],
    ['region', new FirstBootBlock(region: 'Skerry'), [], 'Skerry', 'this job'],
    ['keyboard', new FirstBootBlock(), ['keyboard' => 'rope locker'], 'rope locker', 'bench policy'],
    ['computer_name', new FirstBootBlock(), [], 'QF-{n}, at most 63 signs', 'bench policy'],
    ['computer_name', new FirstBootBlock('QF-07'), [], 'QF-07', 'no other job'],
    ['use', new FirstBootBlock(), [], 'personal', 'nobody said otherwise'],
    ['use', new FirstBootBlock(use: 'shared'), [], 'shared by several', 'this job'],
    ['restore', new FirstBootBlock(), [], 'as a new machine', 'nobody'],
    ['restore', new FirstBootBlock(restore: 'restore'), [], 'earlier machine', 'this job'],
    ['restore', new FirstBootBlock(restore: 'new'), [], 'as a new machine', 'this job'],
    ['password', new FirstBootBlock(), [], 'the owner types it', 'bench'],
    ['diagnostics', new FirstBootBlock(), [], 'as little', 'bench policy'],
    ['diagnostics', new FirstBootBlock(), ['diagnostics' => 'full'], 'all it asks', 'bench policy'],
    ['offers', new FirstBootBlock(), [], 'none', 'bench policy'],
    ['offers', new FirstBootBlock(), ['offers' => 'yes'], 'as it proposes', 'bench policy'],
    ['updates', new FirstBootBlock(), [], 'later', 'bench policy'],
    ['updates', new FirstBootBlock(), ['setup_updates' => 'during'], 'now', 'bench policy'],
    ['drivers', new FirstBootBlock(), [], 'yes', 'D4'],
    ['account', new FirstBootBlock(), [], 'of this machine', 'bench policy'],
    ['account', new FirstBootBlock(), ['account' => 'online-first'], 'with the publisher', 'bench policy'],
    ['account', new FirstBootBlock(account: 'online-first'), [], 'with the publisher', 'this job'],
]);

it('gives the way to an account of the machine on the builds where it was seen to work, and no other', function (
    array $builds,
    string $answer,
    string $because,
) {
    $found = answerTo('account', ['local_account' => [
        'way' => 'Leave the network out.', 'as_of' => '2026-10-20', 'later' => 'It may ask again.', ...$builds,
    ]]);
    expect($found->answer)->toContain($answer)->and($found->because)->toContain($because);
})->with([
    [[], 'Leave the network out.', 'as of 2026-10-20. It may ask again.'],
    [['to_build' => 7200], 'Leave the network out.', 'seen to work'],
    [['from_build' => 7200], 'Leave the network out.', 'seen to work'],
    [['to_build' => 7199], 'with the publisher', 'does not work on build 7200'],
    [['from_build' => 7201], 'with the publisher', 'does not work on build 7200'],
]);

it('says what to do where nobody knows the build', function () {
    $way = new LocalAccount('w', '2026-01-01', 'l', 1, 9);
    expect([$way->worksOn(null), $way->worksOn(0), $way->worksOn(1), $way->worksOn(9), $way->worksOn(10)])
        ->toBe([null, false, true, true, false])
        ->and((new LocalAccount('w', '2026-01-01', 'l'))->worksOn(null))->toBeTrue();
});

it('takes the profile\'s own answer where it has one', function () {
    $system = Entries::system(['first_boot' => [
        'minutes' => [1, 2, 3],
        'rows' => [
            ['ask' => 'Channel', 'answer' => 'stable'],
            ['ask' => 'Region', 'answer' => 'here', 'id' => 'region'],
        ],
    ]]);
    $answers = FirstAnswers::of($system, new FirstBootBlock(region: 'there'), Policy::of());
    expect(array_map(static fn (FirstAnswer $of): array => [$of->id, $of->answer], $answers))
        ->toBe([['', 'stable'], ['region', 'here']]);
});

it('says of a name what the system would say', function (NameRule $rule, string $name, array $faults) {
    expect(implode(' ', $rule->faults($name)))->toBe(implode(' ', $faults));
})->with(function () {
    $short = new NameRule(15, false);
    $long = new NameRule();

    return [
        [$short, 'QF-07', []],
        [$short, 'QF-07-ABCDEFGHI', []],
        [$short, 'QF-07-ABCDEFGHIJ', ['It has 16 signs; the system takes 15 at most.']],
        [$short, 'qf-07', ['The system writes it in capitals.']],
        [$long, 'qf-07', []],
        [$long, str_repeat('a', 63), []],
        [$long, str_repeat('a', 64), ['It has 64 signs; the system takes 63 at most.']],
        [$long, 'quay_7', ['The system takes letters from A to Z, digits and hyphens, and nothing else.']],
        [$long, 'kâi', ['The system takes letters from A to Z, digits and hyphens, and nothing else.']],
        [$long, '-a', ['It begins or ends with a hyphen.']],
        [$long, 'a-', ['It begins or ends with a hyphen.']],
        [$long, '123', ['Digits alone would be taken for an address.']],
        [$long, '', ['A computer needs a name.']],
    ];
});

it('refuses to plan with a name that the system refuses', function () {
    answerTo('computer_name', ['computer_name' => ['longest' => 15]], new FirstBootBlock('far-too-long-a-name'));
})->throws(BriefFault::class, 'Heron 1 does not take "far-too-long-a-name".');

it('proposes a name by the pattern that the system takes and nobody has', function (
    string $pattern,
    ?int $slot,
    NameRule $rule,
    array $taken,
    ?string $name,
) {
    expect(ComputerName::propose($pattern, $slot, $rule, static fn (string $of): bool => in_array($of, $taken, true)))
        ->toBe($name);
})->with([
    ['QF-{n}', null, new NameRule(15, false), [], 'QF-01'],
    ['QF-{n}', null, new NameRule(15, false), ['QF-01', 'QF-02'], 'QF-03'],
    ['qf-{n}', null, new NameRule(15, false), [], 'QF-01'],
    ['qf-{n}', null, new NameRule(63, true), [], 'qf-01'],
    ['S{slot}-{n}', 4, new NameRule(15, false), ['S4-01'], 'S4-02'],
    ['QUILLPORT-HARBOUR-{n}', null, new NameRule(15, false), [], 'QUILLPORT-HAR01'],
    ['{n}-QUAY', null, new NameRule(15, false), [], '01-QUAY'],
    ['{n}', null, new NameRule(15, false), [], null],
    ['{n}-A-NAME-TOO-LONG-FOR-IT', null, new NameRule(15, false), [], null],
]);

it('goes on counting beyond two digits', function () {
    $seen = [];
    $name = ComputerName::propose('QF-{n}', null, new NameRule(15, false), function (string $of) use (&$seen): bool {
        $seen[] = $of;

        return count($seen) < 120;
    });
    expect($name)->toBe('QF-120')->and(count(array_unique($seen)))->toBe(120);
});

it('leaves out of the file a name that nobody has chosen', function () {
    $system = Entries::system(['first_boot' => [
        'minutes' => [1, 2, 3],
        'rows' => [['ask' => 'Name', 'id' => 'computer_name'], ['ask' => 'Region', 'id' => 'region']],
    ]]);
    $inFile = static fn (FirstBootBlock $said): array => array_map(
        static fn (FirstAnswer $of): bool => $of->inFile,
        FirstAnswers::of($system, $said, Policy::of(), ['computer_name', 'region']),
    );
    expect($inFile(new FirstBootBlock()))->toBe([false, true])
        ->and($inFile(new FirstBootBlock('QF-01')))->toBe([true, true]);
});
