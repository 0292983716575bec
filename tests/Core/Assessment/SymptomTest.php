<?php

use Cobblestone\Assessment\Backup\Manifest;
use Cobblestone\Assessment\Backup\ManifestComparison;
use Cobblestone\Assessment\Symptom\SymptomIndex;
use Cobblestone\Inventory\UnreadableInventory;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Source;
use Tests\Support\Demo;

function symptoms(): SymptomIndex
{
    return SymptomIndex::of(Demo::catalogue()->all('issues'));
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
    $ids = fn (array $facts, string $step) => array_map(fn ($symptom) => $symptom->id, symptoms()->forStep($step, known($facts)));
    expect($ids([], 'boot.start'))->toContain('recovery-key-prompt')->toContain('picture-on-its-side')
        ->and($ids(['drive.encryption' => 'none'], 'boot.start'))->not->toContain('recovery-key-prompt')
        ->and($ids(['drive.encryption' => 'chip'], 'boot.start'))->toContain('recovery-key-prompt')
        ->and($ids(['machine.kind' => 'laptop'], 'boot.start'))->not->toContain('picture-on-its-side')
        ->and($ids(['machine.kind' => 'handheld'], 'boot.start'))->toContain('picture-on-its-side');
    expect(array_map(fn ($symptom) => $symptom->id, symptoms()->search('chip clear', known(['drive.encryption' => 'none']))))->not->toContain('chip-clear-offer');
});

it('puts the normal first at a step and says when to worry', function () {
    $found = symptoms()->forStep('boot.start', FactSheet::empty());
    $order = array_map(fn ($symptom) => $symptom->normal, $found);
    $sorted = $order;
    usort($sorted, fn ($a, $b) => array_search($a, ['yes', 'for-a-while', 'no'], true) <=> array_search($b, ['yes', 'for-a-while', 'no'], true));
    expect($order)->toBe($sorted)
        ->and(symptoms()->forStep('no.such', FactSheet::empty()))->toBe([])
        ->and(symptoms()->search('percentage stands', FactSheet::empty())[0]->standing())->toBe('normal for a while, worry after 30 min')
        ->and(symptoms()->search('swollen', FactSheet::empty())[0]->standing())->toBe('not normal');
});

$a = str_repeat('a', 64);
$b = str_repeat('b', 64);

it('reads lists of sha256sum, of sizes and of paths', function () use ($a, $b) {
    $manifest = Manifest::read("# made today\r\n{$a}  ./pictures//one.jpg\r\n".strtoupper($b)." *two words.txt\n\\{$a}  odd\\\\name\\nline\n12\tthree.txt\nfour/five\n\n");
    expect($manifest->files)->toBe(['pictures/one.jpg' => ['hash' => $a, 'bytes' => null], 'two words.txt' => ['hash' => $b, 'bytes' => null], "odd/name\nline" => ['hash' => $a, 'bytes' => null], 'three.txt' => ['hash' => null, 'bytes' => 12], 'four/five' => ['hash' => null, 'bytes' => null]])
        ->and($manifest->notes)->toBe([])
        ->and($manifest->bytes())->toBeNull();
    expect(Manifest::read("5\ta\n7\tb\n")->bytes())->toBe(12);
});

it('joins checksums and sizes of the same files', function () use ($a) {
    $manifest = Manifest::read("{$a}  ./one\n9\t./one\n");
    expect($manifest->files)->toBe(['one' => ['hash' => $a, 'bytes' => 9]])
        ->and($manifest->notes)->toBe([])
        ->and($manifest->bytes())->toBe(9);
});

it('names lines that are none of these', function () use ($a) {
    $manifest = Manifest::read("sha256sum: x: no such file\n".str_repeat('c', 40)."  sha1.txt\n{$a}  same\n{$a}  same\n");
    expect($manifest->notes)->toBe(['Line 1: "sha256sum: x: no such file" is not a line of sha256sum; left out.', 'Line 2: "'.mb_substr(str_repeat('c', 40).'  sha1.txt', 0, 50).'" is not a line of sha256sum; left out.', 'Line 4: "same" stands there twice; the later line counts.'])
        ->and(array_keys($manifest->files))->toBe(['same']);
    expect(fn () => Manifest::read(" \n"))->toThrow(UnreadableInventory::class, 'Nothing was pasted');
});

it('says what is missing, differs and is there besides', function () use ($a, $b) {
    $of = fn (string $one, string $two) => ManifestComparison::of(Manifest::read($one), Manifest::read($two));
    $same = $of("{$a}  x\n{$b}  y\n", "{$b}  y\n{$a}  x\n{$a}  z\n");
    expect($same->proves())->toBeTrue()
        ->and($same->besides)->toBe(['z'])
        ->and($same->proven)->toBe(2)
        ->and($same->sentence())->toBe('All 2 files are in the copy with equal checksums.');
    $differs = $of("{$a}  x\n{$b}  y\n{$a}  w\n", "{$b}  x\n{$b}  y\n");
    expect($differs->missing)->toBe(['w'])
        ->and($differs->differing)->toBe(['x'])
        ->and($differs->proves())->toBeFalse()
        ->and($differs->sentence())->toBe('1 missing, 1 differ, of 3 files.');
    $sizes = $of("5\tx\n6\ty\n", "5\tx\n6\ty\n");
    expect($sizes->proves())->toBeFalse()
        ->and($sizes->sentence())->toBe('All 2 files are in the copy; 0 of them are proven by checksums, the others by name and size only.');
    expect($of("5\tx\n", "6\tx\n")->differing)->toBe(['x'])->and($of("{$a}  x\n", "5\tx\n")->proven)->toBe(0);
});

it('sees through different roots of the two lists', function () use ($a, $b) {
    $compared = ManifestComparison::of(Manifest::read("{$a}  /home/crew/papers/x.txt\n{$b}  /home/crew/papers/sub/y.txt\n"), Manifest::read("{$a}  ./backup-7/x.txt\n{$b}  ./backup-7/sub/y.txt\n"));
    expect($compared->proves())->toBeTrue()
        ->and($compared->rootSource)->toBe('/home/crew/papers/')
        ->and($compared->rootCopy)->toBe('backup-7/');
    $single = ManifestComparison::of(Manifest::read("{$a}  papers/x.txt\n"), Manifest::read("{$a}  papers/x.txt\n{$b}  rota/y.txt\n"));
    expect($single->proves())->toBeTrue()->and($single->besides)->toBe(['rota/y.txt']);
});
