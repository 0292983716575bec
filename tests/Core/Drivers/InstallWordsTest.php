<?php

use Cobblestone\Drivers\DriverPlanner;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Step;
use Tests\Support\Entries;

/**
 * The stone of the first package, on a machine with a wireless and a sound device.
 *
 * @param  list<array<string, mixed>>  $packages
 * @param  array<string, mixed>  $system
 */
function stoneOf(array $packages, array $system = []): Step
{
    $machine = new Machine('A laptop', Kind::Laptop, FactSheet::empty(), devices: [
        new Device('Quarrel W2', 'pci:51a2:0202', 'network'),
        new Device('Fennick A1', 'hdaudio:46e10a10', 'audio'),
    ]);
    $shelf = array_map(Entries::package(...), $packages);
    $steps = DriverPlanner::plan($machine, Entries::system($system), $shelf, Policy::of([]))->contribution->steps;
    foreach ($steps as $step) {
        if ($step->id === "drivers.{$shelf[0]->id}") {
            return $step;
        }
    }
    throw new LogicException('it is not on the path');
}

/** @return list<string> */
function becauseOf(Step $step): array
{
    return array_map(static fn ($reason): string => $reason->text, $step->because);
}

function claimingFile(string $path, string ...$ids): array
{
    return [
        'path' => $path, 'provider' => 'Quarrel', 'version' => '2.0', 'date' => '2026-01-01', 'signed' => true,
        'claims' => array_map(static fn (string $id): array => ['id' => $id], $ids),
    ];
}

it('says for which devices it is, never what else it claims', function () {
    $step = stoneOf([[
        'id' => 'many', 'name' => 'Many', 'version' => '2.0',
        'claims' => ['pci:51a2:0202', 'pci:51a2:0203', 'hdaudio:46e10a10', 'pci:51a2:0204'],
    ]]);
    expect(becauseOf($step))->toBe([
        'For Quarrel W2, which it claims as pci:51a2:0202; Fennick A1, which it claims as hdaudio:46e10a10.',
    ])->and($step->instructions)->toContain('Install Many 2.0.');
});

it('says before and after what it comes, by name', function () {
    $needed = ['id' => 'base', 'name' => 'Base part', 'family' => 'chipset', 'claims' => ['pci:9999:0001']];
    $sound = ['id' => 'sound', 'name' => 'Sound part', 'claims' => ['hdaudio:46e10a10'], 'needs' => ['base']];
    expect(becauseOf(stoneOf([$needed, $sound])))->toBe(['Comes before what needs it: Sound part.'])
        ->and(becauseOf(stoneOf([$sound, $needed])))->toBe([
            'For Fennick A1, which it claims as hdaudio:46e10a10.', 'Comes after what it needs: Base part.',
        ]);
});

it('says how a package is installed', function (array $said, array $system, array $words) {
    $step = stoneOf([['id' => 'p', 'name' => 'W2', 'version' => '2.0', ...$said]], $system);
    expect(array_slice($step->instructions, 1, -1))->toBe([...$words, 'Pull the stick again.']);
})->with([
    'a program' => [['claims' => ['pci:51a2:0202'], 'family' => 'network'], [], ['Install W2 2.0.']],
    'without questions' => [
        ['claims' => ['pci:51a2:0202'], 'family' => 'network', 'silent' => 'w2.exe /quiet'], [],
        ['Install W2 2.0. Without questions: `w2.exe /quiet`.'],
    ],
    'setup files, where the system says the way' => [
        ['family' => 'network', 'file' => 'w2.zip', 'setup_files' => [
            claimingFile('w2/net.inf', 'pci:51a2:0202'), claimingFile('w2/sound.inf', 'hdaudio:46e10a10'),
            claimingFile('w2/other.inf', 'pci:51a2:0777'),
        ]],
        ['setup_file_way' => 'Settings, *Driver from a folder*'],
        [
            'Install W2 2.0 by its setup file: Settings, *Driver from a folder*.',
            'Quarrel W2: the folder of `w2/net.inf`.', 'Fennick A1: the folder of `w2/sound.inf`.',
        ],
    ],
    'setup files, where it does not' => [
        ['family' => 'network', 'file' => 'w2.7z', 'setup_files' => [claimingFile('net.inf', 'pci:51a2:0202')]], [],
        ['Install W2 2.0 by its setup file.', 'Quarrel W2: the folder of `net.inf`.'],
    ],
    'a program that unpacks itself' => [
        ['family' => 'network', 'file' => 'W2.EXE', 'setup_files' => [claimingFile('net.inf', 'pci:51a2:0202')]], [],
        ['Install W2 2.0.'],
    ],
]);
