<?php

use Cobblestone\Media\Build\FailureRule;
use Cobblestone\Media\Build\Staleness;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\Build\TrueSize;

it('finds where a stick stops being honest', function () {
    $places = TrueSize::places(100 * 4096 + 100, 10);
    expect($places)->toBe([0, 45_056, 90_112, 135_168, 180_224, 225_280, 270_336, 315_392, 360_448, 405_504])
        ->and(TrueSize::places(3 * 4096, 10))->toBe([0, 4096, 8192])
        ->and(TrueSize::places(4096, 10))->toBe([0])
        ->and(TrueSize::places(100, 10))->toBe([]);
    $read = array_combine($places, array_map(fn ($place) => TrueSize::stamp($place, 'run'), $places));
    expect(TrueSize::judge($read, 'run'))->toBe(['honest' => true, 'from' => null, 'wraps' => false])
        ->and(TrueSize::judge($read, 'other')['honest'])->toBeFalse()
        ->and(TrueSize::judge(
            [...array_slice($read, 0, 5, true) + array_fill_keys(array_slice($places, 5), str_repeat("\0", 4096))],
            'run',
        ))
        ->toMatchArray(['honest' => false, 'from' => 1])
        ->and(strlen(TrueSize::stamp(8192, 'run')))->toBe(4096);
    $lost = $read;
    foreach (array_slice($places, 5) as $place) {
        $lost[$place] = str_repeat("\0", 4096);
    }
    expect(TrueSize::judge($lost, 'run'))->toBe(['honest' => false, 'from' => 225_280, 'wraps' => true]);
    $lost[225_280] = str_repeat("\xFF", 4096);
    expect(TrueSize::judge($lost, 'run')['wraps'])->toBeFalse();
    $wrapped = $read;
    $wrapped[405_504] = TrueSize::stamp(45_056, 'run');
    expect(TrueSize::judge($wrapped, 'run'))->toBe(['honest' => false, 'from' => 405_504, 'wraps' => true]);
});

it('follows the rule after every failure', function () {
    $rule = fn (string $kind, int $before) => array_values(array_intersect_key(
        FailureRule::after($kind, $before),
        ['retry' => 1, 'retire' => 1],
    ));
    expect($rule('format', 0))->toBe([true, false])
        ->and($rule('format', 1))->toBe([false, false])
        ->and($rule('format', 2))->toBe([false, true])
        ->and($rule('write', 0))->toBe([true, false])
        ->and($rule('write', 1))->toBe([false, false])
        ->and($rule('mismatch', 0))->toBe([true, false])
        ->and($rule('mismatch', 1))->toBe([false, true])
        ->and($rule('size', 0))->toBe([false, true])
        ->and($rule('gone', 0))->toBe([false, false])
        ->and($rule('protected', 3))->toBe([false, false])
        ->and($rule('room', 0))->toBe([false, false])
        ->and($rule('source', 0))->toBe([false, false]);
    foreach (FailureRule::KINDS as $kind) {
        expect(FailureRule::after($kind, 0)['next'])->toEndWith('.');
    }
    expect(FailureRule::after('format', 1)['next'])->toContain('twice')
        ->and(FailureRule::after('format', 2)['next'])->toContain('three times');
});

it('knows what is newer of the same line only', function (array $shelf, bool $newer) {
    $stick = [
        'line' => 'Orrin Desktop 3',
        'version' => '3.9',
        'edition' => 'Counter',
        'language' => 'all',
        'architecture' => 'x86-64',
        'channel' => 'stable',
    ];
    expect(Staleness::isNewer([...$stick, ...$shelf], $stick))->toBe($newer);
})->with([
    [['version' => '3.10'], true],
    [['version' => '3.9'], false],
    [['version' => '3.8'], false],
    [['version' => ''], false],
    [['version' => '4.0', 'edition' => 'Dock'], false],
    [['version' => '4.0', 'language' => 'English'], false],
    [['version' => '4.0', 'channel' => 'preview'], false],
    [['version' => '4.0', 'architecture' => 'arm-64'], false],
    [['version' => '4.0', 'line' => 'Skerry'], false],
]);

it('never takes two images without a line, or without a version, for one', function () {
    expect(Staleness::isNewer(['version' => '2'], ['version' => '1']))->toBeFalse()
        ->and(Staleness::isNewer(['line' => 'x', 'version' => '2'], ['line' => 'x']))->toBeFalse();
});

it('says of every condition what it is', function () {
    expect(array_map(fn ($c) => explode(':', $c->title())[0], StickCondition::cases()))
        ->toBe(['nothing of ours on it', 'unfinished', 'written by hand', 'good', 'stale', 'spoiled', 'retired']);
});
