<?php

use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\EvidenceJudge;
use Cobblestone\Runbook\FindingVerdict;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

// Programs of the owner's kind of use, and the sources of a community system (rules T5, I11).

function programsPlan(string $brief, ?string $set): Plan
{
    $facts = Demo::brief($brief)['machine']['facts'] ?? [];

    return Demo::plan($brief, ['machine' => [
        'facts' => [...$facts, ...$set === null ? [] : ['owner.programs' => $set]],
    ]]);
}

it('sets up, keeps from starting and removes, each with before and after', function () {
    $step = programsPlan('fairlead-13', 'counter')->step('tune.programs');
    expect(array_map(array_values(...), $step->rows ?? []))->toBe([
        [
            'Tidebook ledger 4', 'its publisher; licence: one a machine', 'tidebook-4.pkg /still', 'not there',
            'It opens its ledger of the day.',
        ],
        [
            'Gangway tickets', 'the co-operative\'s own shelf; licence: none wanted', 'gangway-setup --no-questions',
            'not there', 'A test ticket prints.',
        ],
        ['Tansy Messenger', '', 'switch off at start', 'starts by itself', 'does not'],
        ['Skerry Casino', '', 'remove', 'there, nobody asked for it', 'gone'],
        ['Ninety days of guard', '', 'remove', 'there, nobody asked for it', 'gone'],
    ])->and($step?->time->likely->inMinutes())->toBe(10.0)
        ->and($step?->done?->words)->toBe('Programs were set up: Tidebook ledger 4, Gangway tickets; kept from '
            .'starting by themselves: Tansy Messenger; removed: Skerry Casino, Ninety days of guard')
        ->and($step?->because[0]->source)->toBe('catalogue, Ticket counter, as of 2026-11-20');
});

it('is ticked off, and what is left is told', function (string $ticked, FindingVerdict $verdict, string $says) {
    $evidence = programsPlan('fairlead-13', 'counter')->step('tune.programs')->evidence[0] ?? null;
    $finding = EvidenceJudge::judge($evidence, $ticked, []);
    expect($finding->verdict)->toBe($verdict)->and($finding->words)->toBe($says);
})->with([
    'all' => [
        'Tidebook ledger 4; Gangway tickets; Tansy Messenger; Skerry Casino; Ninety days of guard',
        FindingVerdict::Equal,
        'all of it',
    ],
    'one is left' => [
        'Tidebook ledger 4; Gangway tickets; Skerry Casino; Ninety days of guard',
        FindingVerdict::Differs,
        'missing: Tansy Messenger',
    ],
]);

it('sets up nothing where nobody has chosen a set', function () {
    $plan = programsPlan('fairlead-13', null);
    expect($plan->step('tune.programs'))->toBeNull()->and($plan->decision('tune.programs'))->toBeNull();
});

it('shuts writing where the set is not for the system, or is gone', function (string $set, string $says) {
    $blocker = array_column(programsPlan('fairlead-13', $set)->blockers, null, 'id')['programs-other-system'];
    expect($blocker->reason)->toBe($says)->and($blocker->door->at)->toBe('machine.facts.owner.programs')
        ->and($blocker->unsafe)->toContain(Act::WriteSystem)
        ->and($blocker->facts)->toBe(["owner.programs = {$set}"]);
})->with([
    ['office', 'The programs "Crew office" are not for Tansy Desktop 7.'],
    ['gone', 'There is no set of programs "gone" any more.'],
]);

it('tries the sources of a community system before anything is set up from them', function (
    ?string $set,
    string $program,
    array $stones,
) {
    $plan = programsPlan('capstan-t3', $set);
    $tune = array_filter($plan->steps, static fn (Step $step): bool => str_starts_with($step->id, 'tune.'));
    expect(array_values(array_map(static fn (Step $step): string => $step->id, $tune)))->toBe($stones)
        ->and($plan->step('tune.sources')?->instructions[1])->toBe("Install {$program} from them and start it.")
        ->and($plan->step('tune.sources')?->because[0]->rule)->toBe('I11');
})->with([
    [null, 'any small program', ['tune.sources']],
    ['office', 'Inkwell letters', ['tune.sources', 'tune.programs']],
]);

it('leaves the sources of other systems alone', function () {
    expect(programsPlan('fairlead-13', 'counter')->step('tune.sources'))->toBeNull()
        ->and(programsPlan('pocket-lantern', null)->step('tune.sources'))->toBeNull();
});
