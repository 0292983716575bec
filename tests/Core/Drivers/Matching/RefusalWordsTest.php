<?php

use Cobblestone\Drivers\Matching\DriverShelf;
use Cobblestone\Drivers\Matching\MatchTarget;
use Cobblestone\Drivers\Matching\OfferedClaim;
use Cobblestone\Drivers\Matching\Refusal;
use Cobblestone\Drivers\Matching\RefusalWords;
use Cobblestone\Machine\Identifier\AliasList;

/**
 * What is said of the package "mine", which claims the wireless device, beside the others.
 *
 * @param  array<string, mixed>  $mine  what it says otherwise
 * @param  list<array<string, mixed>>  $others
 * @param  array<string, mixed>  $target
 */
function saidOfMine(array $mine, array $others = [], array $target = []): string
{
    $offers = [offered('mine', $mine)];
    foreach ($others as $n => $said) {
        $offers[] = offered("other{$n}", $said);
    }
    $match = (new DriverShelf($offers))->match(
        [wireless()],
        new MatchTarget(...['system' => 'heron', 'architecture' => 'x86-64', 'build' => 700, ...$target]),
        new AliasList,
    )[0];
    $of = array_values(array_filter($match->refused, static fn (Refusal $one): bool => $one->offer()->id === 'mine'));

    return count($of) === 1 ? RefusalWords::of($of[0]) : 'it was not refused';
}

function claims(string $identifier, array $said = []): array
{
    return ['claims' => [new OfferedClaim(...['identifier' => $identifier, ...$said])]];
}

it('says why a package may not be used, with what decides', function (array $mine, array $target, string $words) {
    expect(saidOfMine($mine, [], $target))->toBe($words);
})->with([
    'another processor' => [
        claims('pci:51a2:0202', ['architecture' => 'arm64']), [], 'It is for arm64, and the system is for x86-64.',
    ],
    'another system' => [['systems' => ['tern', 'gull']], [], 'It is for another system.'],
    'a system without setup files' => [
        [], ['readsSetupFiles' => false], 'The system installs nothing from setup-information files.',
    ],
    'later builds' => [
        claims('pci:51a2:0202', ['fromBuild' => 900]), [],
        'It is for builds from 900 on, and the system is build 700.',
    ],
    'earlier builds' => [['toBuild' => 600], [], 'It is for builds up to 600, and the system is build 700.'],
    'other models' => [
        ['models' => ['norrel-a', 'norrel-b']], ['model' => 'norrel-c'], 'It is locked to norrel-a, norrel-b.',
    ],
    'a model, where nobody knows it' => [
        ['models' => ['norrel-a']], [], 'It is locked to norrel-a, and the model of this machine is not known.',
    ],
    'a board' => [
        ['revisions' => ['1.1', '1.2']], ['revision' => '2.0'],
        'It is for revision 1.1, 1.2 of the board, and this is 2.0.',
    ],
    'a board nobody read' => [
        ['revisions' => ['1.1']], [], 'It is for revision 1.1 of the board, and nobody has read which one this is.',
    ],
    'another revision of the device' => [
        claims('pci:51a2:0202#07'), [], 'It is for revision 07 of the device only.',
    ],
    'a revision it leaves out' => [
        claims('pci:51a2:0202', ['excluded' => ['pci:51a2:0202#02']]), [],
        'It says itself that it is not for this revision of the device.',
    ],
    'a maker it leaves out' => [
        claims('pci:51a2:0202', ['excluded' => ['pci:51a2:0202/4e52:0013']]), [],
        'It says itself that it is not for this device as it was fitted here.',
    ],
    'no signature' => [
        ['signed' => false], ['enforced' => true], 'It is not signed, and the system takes only what is.',
    ],
]);

it('says what another is better at, with both figures', function (array $mine, array $other, string $words) {
    expect(saidOfMine($mine, [$other]))->toBe($words);
})->with([
    'a narrower claim' => [
        [], claims('pci:51a2:0202/4e52:0013'),
        'It claims pci:51a2:0202, and another names this device more narrowly: pci:51a2:0202/4e52:0013.',
    ],
    'made for it, where this only works with it' => [
        claims('pci:51a2:0202', ['compatible' => true]), [],
        'It only works with pci:51a2:0202, and another is made for it.',
    ],
    'the channel' => [
        ['channel' => 'preview'], [], 'It comes from the channel "preview", and the bench prefers "stable".',
    ],
    'a later date' => [[], ['date' => '2026-03-01'], 'It is of 2026-01-01, and another of 2026-03-01.'],
    'any date' => [['date' => null], [], 'It has no date, and another is of 2026-01-01.'],
    'a later version' => [
        ['version' => '1.9'], ['version' => '1.10'],
        'It is version 1.9, and another of the same line is 1.10.',
    ],
    'nothing, in one line' => [
        ['source' => 'z.zip'], [],
        'Nothing tells it from the one that was taken, which stands before it on the shelf.',
    ],
    'nothing, in two lines' => [
        ['source' => 'z.zip', 'version' => '1.9'], ['line' => 'another', 'version' => '2.0'],
        'Nothing tells it from the one that was taken, which stands before it on the shelf.',
    ],
]);

it('says that another is made for exactly this model', function () {
    expect(saidOfMine([], [['models' => ['norrel-a']]], ['model' => 'norrel-a']))
        ->toBe('Another is made for exactly this model.');
});
