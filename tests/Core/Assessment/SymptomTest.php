<?php

use Cobblestone\Assessment\Symptom\SymptomIndex;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Source;
use Tests\Support\Demo;

function symptoms(): SymptomIndex
{
    return SymptomIndex::of(Demo::catalogue()->symptoms());
}

function known(array $facts): FactSheet
{
    $sheet = FactSheet::empty();
    foreach ($facts as $name => $value) {
        $sheet = $sheet->with(Fact::of($name, $value, Source::Person, 'test'));
    }

    return $sheet;
}

it('holds about forty entries, each with a cause and a fix', function () {
    $entries = Demo::catalogue()->all('issues');
    expect(count($entries))->toBeGreaterThanOrEqual(40);
    foreach ($entries as $entry) {
        expect($entry['causes'][0]['fix'])->not->toBe('')->and($entry['next_test'])->not->toBe('');
    }
});

it('finds by name, by other words, by beginnings and in any case', function (string $words, ?string $first) {
    expect((symptoms()->search($words, FactSheet::empty())[0] ?? null)?->id)->toBe($first);
})->with([
    ['recovery key', 'recovery-key-prompt'],
    ['RECOVERY key', 'recovery-key-prompt'],
    ['stick boot list', 'stick-not-listed'],
    ['swollen', 'swollen-case'],
    ['black after logo', 'black-after-logo'],
    ['half speed', 'half-memory-speed'],
    ['checksum', 'written-differs'],
    ['percentage frozen', 'percentage-stands'],
    ['zzz', null],
    ['', null],
    ['a', null],
    ['recovery zzz qqq', null],
]);

it('ranks an entry with every word above one that lacks some', function () {
    $found = array_map(fn ($symptom) => $symptom->id, symptoms()->search('black screen', FactSheet::empty()));
    expect($found[0])->toBe('black-first-start');
});

it('honours "does not apply when", and what only applies to some', function () {
    $ids = fn (array $facts, string $step) => array_map(
        fn ($symptom) => $symptom->id,
        symptoms()->forStep($step, known($facts)),
    );
    expect($ids([], 'boot.start'))
        ->toContain('recovery-key-prompt')
        ->toContain('picture-on-its-side')
        ->and($ids(['drive.encryption' => 'none'], 'boot.start'))
        ->not->toContain('recovery-key-prompt')
        ->and($ids(['drive.encryption' => 'chip'], 'boot.start'))
        ->toContain('recovery-key-prompt')
        ->and($ids(['machine.kind' => 'laptop'], 'boot.start'))
        ->not->toContain('picture-on-its-side')
        ->and($ids(['machine.kind' => 'handheld'], 'boot.start'))
        ->toContain('picture-on-its-side');
    expect(
        array_map(
            fn ($symptom) => $symptom->id,
            symptoms()->search('chip clear', known(['drive.encryption' => 'none'])),
        ),
    )->not->toContain('chip-clear-offer');
});

it('puts the normal first at a step and says when to worry', function () {
    $found = symptoms()->forStep('boot.start', FactSheet::empty());
    $order = array_map(fn ($symptom) => $symptom->normal, $found);
    $sorted = $order;
    usort(
        $sorted,
        fn ($a, $b) => array_search($a, ['yes', 'for-a-while', 'no'], true) <=>
            array_search($b, ['yes', 'for-a-while', 'no'], true),
    );
    expect($order)
        ->toBe($sorted)
        ->and(symptoms()->forStep('no.such', FactSheet::empty()))
        ->toBe([])
        ->and(symptoms()->search('percentage stands', FactSheet::empty())[0]->standing())
        ->toBe('normal for a while, worry after 30 min')
        ->and(symptoms()->search('swollen', FactSheet::empty())[0]->standing())
        ->toBe('not normal');
});
