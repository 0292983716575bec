<?php

use Cobblestone\Assessment\KnownTroubles;
use Cobblestone\Brief\Brief;
use Cobblestone\Document\Fields;
use Cobblestone\Findings\Findings;
use Cobblestone\Install\TryLive;
use Cobblestone\Job\MachineBuilder;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Model\KnownTrouble;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\EvidenceJudge;
use Cobblestone\Runbook\FindingVerdict;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

// What is known not to work, before it is chosen, and what is tried before anything is written (rules T4, T6).

/** @param  array<string, mixed>  $more */
function trouble(array $more = []): KnownTrouble
{
    return KnownTrouble::read(Fields::of([
        'function' => 'sound', 'systems' => ['tarn'], 'what' => 'No sound.', 'as_of' => '2026-11-01', ...$more,
    ], 'known.0'));
}

it('is meant from one version to another', function (array $more, ?string $version, bool $meant) {
    expect(trouble($more)->isMeant('tarn', $version))->toBe($meant);
})->with([
    'of every version' => [[], '3', true],
    'the first that has it' => [['from' => '7.1'], '7.1', true],
    'before it' => [['from' => '7.1'], '7.0', false],
    'later, by number and not by letter' => [['from' => '7.9'], '7.10', true],
    'the one that mends it' => [['until' => '7.2'], '7.2', false],
    'just before it' => [['until' => '7.2'], '7.1.9', true],
    'a version nobody says' => [['from' => '7.1', 'until' => '7.2'], null, true],
]);

it('is of the systems that are named', function () {
    expect(trouble()->isMeant('other', '1'))->toBeFalse();
});

it('says what helps and what mends it, where that is known', function (array $more, string $says) {
    expect(trouble($more)->sentence())->toBe($says);
})->with([
    [[], 'No sound.'],
    [['instead' => 'headphones.'], 'No sound. Until then: headphones.'],
    [['instead' => 'headphones.', 'until' => '2'], 'No sound. Until then: headphones. Mended in version 2.'],
]);

it('says it before the choice, to the owner and on the page', function () {
    $plan = Demo::plan('new-capstan');
    expect($plan->decision('assess.known')?->chosen)->toBe('sound')
        ->and($plan->decision('assess.known')?->reasons)
        ->toBe(['The front sockets bring no sound. Until then: the rear sockets. Mended in version 2027.01.'])
        ->and(Findings::of($plan)->known[0]->function)->toBe('Sound')
        ->and($plan->step('protect.owner-word')?->instructions)
        ->toContain('Say aloud what they will miss: the front sockets bring no sound.');
    $none = Demo::plan('fairlead-13');
    expect($none->decision('assess.known'))->toBeNull()->and(Findings::of($none)->known)->toBe([]);
});

/** @return list<string> the stones from the start of the stick to the erasing */
function aroundTrying(Plan $plan): array
{
    $ids = array_map(static fn (Step $step): string => $step->id, $plan->steps);

    return array_slice($ids, (int) array_search('boot.start', $ids, true), 5);
}

it('tries the system before the one-way step where its medium offers it', function () {
    $plan = Demo::plan('capstan-t3');
    expect(aroundTrying($plan))
        ->toBe(['boot.start', 'try-live.look', 'install.pages', 'target.find', 'target.erase'])
        ->and($plan->step('try-live.look')?->instructions[0])->toBe('In the start list pick "Look first".')
        ->and(array_column($plan->step('install.pages')->rows ?? [], 'pick', 'page')['Start list of the stick'])
        ->toBe('the installer on its desktop');
    expect(aroundTrying(Demo::plan('fairlead-13')))->not->toContain('try-live.look');
});

it('is tried as often as the bench wants', function (string $school, string $brief, bool $tried) {
    $plan = Demo::plan($brief, policy: ['try_live' => $school]);
    expect($plan->step('try-live.look') !== null)->toBe($tried);
})->with([
    ['where-offered', 'capstan-t3', true], ['never', 'capstan-t3', false], ['where-known', 'capstan-t3', true],
    ['where-known', 'fairlead-13', false], ['where-offered', 'fairlead-13', false],
]);

it('asks for what the kind of machine has', function (Kind $kind, array $asked) {
    $brief = Brief::fromArray(['brief' => 1, 'title' => 'x', 'machine' => ['kind' => 'laptop']]);
    $skerry = Demo::catalogue()->system('skerry-rolling');
    $known = KnownTroubles::of(MachineBuilder::build($brief, Demo::catalogue())[0], $skerry, null);
    $step = TryLive::of($skerry, $kind, $known, Policy::of())?->step();
    expect(array_map(static fn ($one): string => $one->id, $step->evidence ?? []))->toBe($asked)
        ->and($known->decision())->toBeNull();
})->with([
    [Kind::Desktop, ['live_network', 'live_sound', 'live_input', 'live_scale']],
    [Kind::Laptop, ['live_network', 'live_sound', 'live_input', 'live_scale', 'live_sleep', 'live_camera']],
]);

it('holds where something fails, says what is known of it, and goes on with a reason', function (
    string $given,
    FindingVerdict $verdict,
) {
    $evidence = array_column(Demo::plan('capstan-t3')->step('try-live.look')->evidence ?? [], null, 'id');
    expect(EvidenceJudge::judge($evidence['live_sound'], $given, [])->verdict)->toBe($verdict)
        ->and($evidence['live_sound']->remedy)->toStartWith('Known: The front sockets bring no sound.')
        ->and($evidence['live_network']->remedy)->toStartWith('Nothing is known of it on this model.')
        ->and($evidence['live_sound']->overruledBy)->toBe(['technician', 'lead']);
})->with([
    ['works', FindingVerdict::Equal], ['none', FindingVerdict::Equal], ['fails', FindingVerdict::Differs],
]);
