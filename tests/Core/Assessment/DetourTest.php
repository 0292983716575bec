<?php

use Cobblestone\Assessment\Symptom\Detour;
use Cobblestone\Catalogue\Symptom;
use Cobblestone\Catalogue\SymptomCause;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Refused;
use Cobblestone\Runbook\StepState;
use Cobblestone\Runbook\Walk;
use Tests\Support\Demo;

// The way round something that went wrong at a stone (rules J6, I7, I10).

/** @param  array<string, mixed>  $more */
function wrongDrive(array $more = []): Symptom
{
    return Symptom::fromArray([
        'id' => 'wrong', 'name' => 'It is wrong', 'as_of' => '2026-11-29', 'source' => 'this test', 'seen' => ['x'],
        'normal' => 'no',
        'causes' => [['cause' => 'A.', 'fix' => 'Do a.'], ['cause' => 'B.', 'fix' => 'Do b.'], [
            'cause' => 'C.', 'fix' => 'Do c.',
        ]],
        ...$more,
    ]);
}

/** @param  list<array{0: EntryKind, 1?: array<string, mixed>, 2?: string}>  $log */
function detourOf(array $log, ?Symptom $symptom = null): ?Detour
{
    $entries = array_map(
        static function (array $one, int $at): LogEntry {
            return Demo::entry($at + 1, $one[0], $one[2] ?? 'stone', $at * 60, $one[1] ?? []);
        },
        $log,
        array_keys($log),
    );

    return Detour::at('stone', $entries, [$symptom ?? wrongDrive()]);
}

const SEEN = [EntryKind::Problem, ['symptom' => 'wrong', 'text' => 'It is wrong']];

it('is open from what was seen until something helped, was begun again or is done', function (array $log, bool $open) {
    expect(detourOf($log) !== null)->toBe($open);
})->with([
    'nothing' => [[], false],
    'seen' => [[SEEN], true],
    'a problem in words' => [[[EntryKind::Problem, ['text' => 'odd']]], false],
    'another thing than any that is known' => [[[EntryKind::Problem, ['symptom' => 'tea']]], false],
    'at another stone' => [[[EntryKind::Problem, ['symptom' => 'wrong'], 'other']], false],
    'a note after it' => [[SEEN, [EntryKind::Note]], true],
    'a fix that did not help' => [[SEEN, [EntryKind::DidNotHelp, ['cause' => 'A.']]], true],
    'one that helped' => [[SEEN, [EntryKind::Helped, ['cause' => 'A.']]], false],
    'tried again' => [[SEEN, [EntryKind::Retry]], false],
    'done' => [[SEEN, [EntryKind::Done]], false],
    'taken back' => [[SEEN, [EntryKind::TakenBack]], false],
    'lost its proof' => [[SEEN, [EntryKind::Unproven]], false],
    'seen once more' => [[SEEN, [EntryKind::Retry], SEEN], true],
    'helped at another stone' => [[SEEN, [EntryKind::Helped, [], 'other']], true],
    'a problem in words after it' => [[SEEN, [EntryKind::Problem, ['text' => 'odd']]], false],
]);

it('goes from cause to cause, what helped here most often first', function (
    array $tried,
    array $helped,
    ?string $next,
) {
    $log = [SEEN, ...array_map(static fn (string $one): array => [EntryKind::DidNotHelp, ['cause' => $one]], $tried)];
    expect(detourOf($log)?->next($helped)?->cause)->toBe($next);
})->with([
    [[], [], 'A.'], [['A.'], [], 'B.'], [['B.', 'A.'], [], 'C.'], [['A.', 'B.', 'C.'], [], null],
    [[], ['C.' => 2, 'B.' => 1], 'C.'], [['C.'], ['C.' => 2, 'B.' => 1], 'B.'],
]);

it('keeps the order of the entry among those that helped as often', function () {
    $left = detourOf([SEEN])?->left(['B.' => 1]) ?? [];
    expect(array_map(static fn (SymptomCause $one): string => $one->cause, $left))->toBe(['B.', 'A.', 'C.']);
});

it('tries a cause once, and only one that belongs to it', function (array $log, string $cause, ?string $refused) {
    $detour = detourOf([SEEN, ...$log]);
    if ($refused === null) {
        expect($detour?->tries($cause))->toBe(['symptom' => 'wrong', 'cause' => 'B.', 'text' => 'B. Do b.']);
    } else {
        expect(fn () => $detour?->tries($cause))->toThrow(Refused::class, $refused);
    }
})->with([
    'one that is left' => [[], 'B.', null],
    'tried' => [[[EntryKind::DidNotHelp, ['cause' => 'B.']]], 'B.', 'tried already'],
    'of something else' => [[], 'D.', 'belongs to something else'],
]);

it('does what comes first before any cause', function () {
    $symptom = wrongDrive(['first' => ['Off.', 'Out.']]);
    $detour = detourOf([SEEN], $symptom);
    expect($detour?->wantsFirst())->toBeTrue()
        ->and(fn () => $detour?->tries('A.'))->toThrow(Refused::class, 'What comes first has to be done first.');
    $after = detourOf([SEEN, [EntryKind::DidFirst], [EntryKind::DidNotHelp, ['cause' => 'A.']]], $symptom);
    expect($after?->wantsFirst())->toBeFalse()->and($after?->next()?->cause)->toBe('B.')
        ->and(detourOf([SEEN])?->wantsFirst())->toBeFalse();
});

it('lets nobody go on who may not', function (?string $release, string $role, bool $may) {
    $detour = detourOf([SEEN], wrongDrive($release === null ? [] : ['release' => $release]));
    if ($may) {
        $detour?->mayGoOn($role);
        expect(true)->toBeTrue();
    } else {
        expect(fn () => $detour?->mayGoOn($role))->toThrow(Refused::class, 'Only the lead may go on after this.');
    }
})->with([[null, 'technician', true], ['lead', 'lead', true], ['lead', 'technician', false]]);

it('is not ended by saying something else where only the lead ends it', function (?string $release, bool $stays) {
    $other = wrongDrive(['id' => 'other', 'name' => 'Other']);
    $log = [
        Demo::entry(1, EntryKind::Problem, 'stone', 0, SEEN[1]),
        Demo::entry(2, EntryKind::Problem, 'stone', 60, ['text' => 'never mind']),
        Demo::entry(3, EntryKind::Problem, 'stone', 90, ['symptom' => 'other']),
    ];
    $wrong = wrongDrive($release === null ? [] : ['release' => $release]);
    expect(Detour::at('stone', $log, [$wrong, $other])?->symptom->id)->toBe($stays ? 'wrong' : 'other')
        ->and(Detour::stopping($log, [$wrong, $other])?->symptom->id)->toBe($stays ? 'wrong' : null);
})->with([['lead', true], [null, false]]);

it('counts its minutes, begun ones whole', function (int $now, int $minutes) {
    expect(detourOf([SEEN])?->minutes($now))->toBe($minutes);
})->with([[0, 0], [1, 1], [60, 1], [61, 2], [-5, 0]]);

it('lays the trouble aside where something helped, and runs the clock anew', function () {
    $plan = Demo::planOf([Demo::step('stone')]);
    $state = static fn (LogEntry ...$log): array => [
        Progress::of($plan, $log)->state($plan->steps[0]), Progress::of($plan, $log)->startedAt($plan->steps[0]),
    ];
    $seen = Demo::entry(1, EntryKind::Problem, 'stone', 10, SEEN[1]);
    expect($state($seen)[0])->toBe(StepState::Trouble)
        ->and($state($seen, Demo::entry(2, EntryKind::DidNotHelp, 'stone', 20))[0])->toBe(StepState::Trouble)
        ->and($state($seen, Demo::entry(2, EntryKind::DidFirst, 'stone', 20))[0])->toBe(StepState::Trouble)
        ->and($state($seen, Demo::entry(2, EntryKind::Helped, 'stone', 30)))->toBe([StepState::Running, 30]);
});

it('confirms nothing while a problem is open', function () {
    $confirmation = new Confirmation('a drive', 1000, 'SERIAL-1', 'all of it', 'the owner', true);
    $plan = Demo::planOf([Demo::step('stone', confirmation: $confirmation)]);
    $walk = new Walk(Progress::of($plan, [Demo::entry(1, EntryKind::Problem, 'stone', 10, SEEN[1])]));
    expect(fn () => $walk->confirm($plan->steps[0], 'AL-1', 'label'))->toThrow(Refused::class, 'has a problem open');
});

it('has a way for each of the five that go wrong after the copying, from the stone', function (
    string $symptom,
    string $stone,
) {
    $known = Symptom::fromArray(Demo::catalogue()->toArray()['issues'][$symptom]);
    expect($known->belongsTo($stone))->toBeTrue()->and(count($known->causes))->toBeGreaterThan(1)
        ->and($known->nextTest)->not->toBeNull();
})->with([
    ['installer-sees-no-drive', 'target.find'],
    ['wrong-drive-written', 'target.erase'],
    ['wrong-drive-written', 'install.phase-0'],
    ['install-loop', 'install.stick-out'],
    ['no-bootable-device', 'install.phase-1'],
    ['answers-asked-again', 'first-boot.answers'],
]);
