<?php

use Cobblestone\Catalogue\Blame;
use Cobblestone\Catalogue\Symptom;
use Cobblestone\Catalogue\SymptomCause;
use Cobblestone\Catalogue\SymptomFrom;

beforeEach(function () {
    $this->cable = new SymptomCause('The cable is half out.', 'Push it in.');
    $this->told = SymptomFrom::told('Fan screams', $this->cable, 'install.run', '2026-11-30', 'the logbook');
});

it('makes a symptom out of what somebody saw, offered at the stone where it was seen', function () {
    $symptom = Symptom::fromArray($this->told);
    expect($symptom->id)->toBe('fan-screams')
        ->and($symptom->name)->toBe('Fan screams')
        ->and($symptom->seen)->toBe(['fan screams'])
        ->and($symptom->normal)->toBe('no')
        ->and($symptom->steps)->toBe(['install.run'])
        ->and($symptom->asOf)->toBe('2026-11-30')
        ->and($symptom->source)->toBe('the logbook')
        ->and($symptom->causes)->toEqual([$this->cable]);
});

it('adds a cause once, last, and the stone where none leads to it', function () {
    $other = new SymptomCause('Dust.', 'Blow it out.');
    $more = SymptomFrom::withCause($this->told, $other, 'install.run', '2026-12-01');
    expect(array_column($more['causes'], 'cause'))->toBe(['The cable is half out.', 'Dust.'])
        ->and($more['as_of'])->toBe('2026-12-01')
        ->and($more['steps'])->toBe(['install.run'])
        ->and(SymptomFrom::withCause($more, $other, 'install.run', '2026-12-01')['causes'])->toHaveCount(2)
        ->and(SymptomFrom::withCause($this->told, $other, 'protect.copy', '2026-12-01')['steps'])
        ->toBe(['install.run', 'protect.copy'])
        ->and(SymptomFrom::withCause(['steps' => ['install.']] + $this->told, $other, 'install.x', '')['steps'])
        ->toBe(['install.'])
        ->and(SymptomFrom::withCause(['steps' => []] + $this->told, $other, 'install.x', '')['steps'])->toBe([]);
});

it('keeps what a cause counts against, and what its fix releases', function () {
    $blamed = new SymptomCause('It drops out.', 'The spare.', 'The guard is on again', Blame::Stick);
    $more = Symptom::fromArray(SymptomFrom::withCause($this->told, $blamed, 'install.run', '2026-12-01'));
    expect($more->causeOf('It drops out.'))->toEqual($blamed)
        ->and($more->causeOf('The cable is half out.'))->toEqual($this->cable)
        ->and($more->causeOf('Moths.'))->toBeNull()
        ->and(Symptom::fromArray(SymptomFrom::told('x', $blamed, 'a.b', '2026-12-01', 'y'))->causes)
        ->toEqual([$blamed])
        ->and(array_map(static fn (Blame $one): ?string => $one->reaches(), Blame::cases()))
        ->toBe([null, 'setup', 'menu', 'recovery'])
        ->and(array_unique(array_map(static fn (Blame $one): string => $one->title(), Blame::cases())))
        ->toHaveCount(count(Blame::cases()));
});

it('looks first for what helps, and leaves the others in their order', function () {
    $causes = array_map(
        static fn (string $of): array => ['cause' => $of, 'fix' => 'x', 'put_back' => 'y'],
        ['a', 'b', 'c'],
    );
    $of = ['causes' => $causes] + $this->told;
    expect(array_column(SymptomFrom::likeliestFirst($of, 'c', '2026-12-01')['causes'], 'cause'))->toBe(['c', 'a', 'b'])
        ->and(SymptomFrom::likeliestFirst($of, 'c', '2026-12-01')['causes'][0]['put_back'])->toBe('y')
        ->and(SymptomFrom::likeliestFirst($of, 'c', '2026-12-01')['as_of'])->toBe('2026-12-01')
        ->and(array_column(SymptomFrom::likeliestFirst($of, 'z', '')['causes'], 'cause'))->toBe(['a', 'b', 'c']);
});

it('makes an identifier of any words', function (string $seen, string $pattern) {
    expect(SymptomFrom::id($seen))->toMatch($pattern)->toMatch('/^[a-z0-9][a-z0-9-]{0,60}$/');
})->with([
    ['Fan screams!', '/^fan-screams$/'],
    ['  -- 50 % then stop', '/^50-then-stop$/'],
    ['звук', '/^seen-[0-9a-f]{12}$/'],
    [str_repeat('long words ', 20), '/^(long-words-)+long-?[a-z]*$/'],
    ['', '/^seen-/'],
]);

it('shortens what a document would not take', function () {
    $long = str_repeat('ä', 300);
    $told = SymptomFrom::told($long, $this->cable, 'install.run', '2026-11-30', 'x');
    expect(mb_strlen($told['name']))->toBe(200)->and(mb_strlen($told['seen'][0]))->toBe(200)
        ->and(SymptomFrom::id(str_repeat('a', 90)))->toBe(str_repeat('a', 60))
        ->and(SymptomFrom::id(str_repeat('a', 59).' bc'))->toBe(str_repeat('a', 59))
        ->and(array_keys(SymptomFrom::withCause(['steps' => ['install.run']] + $told, $this->cable, 'install.run', '')))
        ->toContain('name', 'source');
});
