<?php

use Cobblestone\Drivers\Matching\DeviceMatch;
use Cobblestone\Drivers\Matching\DriverShelf;
use Cobblestone\Drivers\Matching\MatchTarget;
use Cobblestone\Drivers\Matching\OfferedClaim;
use Cobblestone\Drivers\Matching\PackageOffer;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Identifier\AliasList;
use Tests\Support\Worked;

it('refuses what must not be used, and names the first reason', function (array $said, string $why) {
    $enforced = new MatchTarget('tansy-desktop-7', 'x86-64', 7200, 'fairlead', 'B', enforced: true);
    $bad = offered('bad', $said);
    $match = matched([$bad, offered('good')], target: $enforced);
    expect($match->package?->id)->toBe('good')->and(whys($match))->toBe(['bad.zip' => $why]);
    $alone = matched([$bad], target: $enforced);
    expect($alone->package)->toBeNull()->and($alone->isMissing())->toBeTrue();
})->with([
    'another architecture' => [['claims' => [new OfferedClaim('pci:51a2:0202', 'arm-64')]], 'architecture'],
    'a later build' => [['claims' => [new OfferedClaim('pci:51a2:0202', 'x86-64', 7201)]], 'build'],
    'an earlier build' => [['toBuild' => 7199], 'build'],
    'another system' => [['systems' => ['skerry-rolling']], 'build'],
    'another model' => [['models' => ['capstan']], 'model'],
    'another board' => [['revisions' => ['A']], 'revision'],
    'no signature' => [['signed' => false], 'signature'],
    'several of them' => [
        ['signed' => false, 'models' => ['capstan'], 'claims' => [new OfferedClaim('pci:51a2:0202', 'arm-64')]],
        'architecture',
    ],
    'the nearest of its sections' => [
        ['claims' => [
            new OfferedClaim('pci:51a2:0202', 'arm-64'),
            new OfferedClaim('pci:51a2:0202', 'x86-64', 9000),
        ]],
        'build',
    ],
    'another revision of the device' => [['claims' => [new OfferedClaim('pci:51a2:0202#01', 'x86-64')]], 'revision'],
    'another revision, and another architecture' => [
        ['claims' => [new OfferedClaim('pci:51a2:0202#01', 'arm-64')]],
        'architecture',
    ],
    'this revision excluded' => [
        ['claims' => [new OfferedClaim('pci:51a2:0202', excluded: ['pci:51a2:0202#02'])]],
        'revision',
    ],
    'who fitted it excluded' => [
        ['claims' => [new OfferedClaim('pci:51a2:0202', excluded: ['pci:51a2:0202/4e52:0013'])]],
        'model',
    ],
]);

it('lets through what just fits', function (array $said) {
    $enforced = new MatchTarget('tansy-desktop-7', 'x86-64', 7200, 'fairlead', 'B', enforced: true);
    expect(matched([offered('good', $said)], target: $enforced)->package?->id)->toBe('good');
})->with([
    'this build' => [['claims' => [new OfferedClaim('pci:51a2:0202', 'x86-64', 7200)], 'toBuild' => 7200]],
    'any architecture' => [['claims' => [new OfferedClaim('pci:51a2:0202')]]],
    'this system' => [['systems' => ['tansy-desktop-7']]],
    'this model' => [['models' => ['capstan', 'fairlead']]],
    'this board' => [['revisions' => ['A', 'B']]],
    'another section that fits' => [['claims' => [
        new OfferedClaim('pci:51a2:0202', 'arm-64'),
        new OfferedClaim('pci:51a2:0202', 'x86-64', 9000),
        new OfferedClaim('pci:51a2:0202', 'x86-64', 7000),
    ]]],
    'another device excluded' => [['claims' => [
        new OfferedClaim('pci:51a2:0202', excluded: ['pci:51a2:0202#01']),
    ]]],
]);

it('knows nothing, and lets nothing decide that it does not know', function () {
    $unknown = new MatchTarget('heron');
    expect(matched([offered('a', ['claims' => [new OfferedClaim('pci:51a2:0202', 'arm-64', 9000)]])], target: $unknown)
        ->package?->id)->toBe('a')
        ->and(whys(matched([offered('a', ['models' => ['x']])], target: $unknown)))->toBe(['a.zip' => 'model'])
        ->and(whys(matched([offered('a', ['revisions' => ['x']])], target: $unknown)))->toBe(['a.zip' => 'revision']);
});

it('takes no setup-information file for a system that reads none', function () {
    $reads = new MatchTarget('skerry-rolling', readsSetupFiles: false);
    expect(whys(matched([offered('a')], target: $reads)))->toBe(['a.zip' => 'build'])
        ->and(matched([offered('a', ['setupFile' => null])], target: $reads)->package?->id)->toBe('a');
});

it('knows a device by everything it was read to be called', function () {
    $touch = new Device('T4', 'acpi:fnck0704', 'input', identifiers: ['acpi:fnck0704', 'acpi:pnp0c50']);
    expect(matched([offered('any', identifier: 'acpi:pnp0c50')], $touch)->identifier)->toBe('acpi:pnp0c50')
        ->and(matched([offered('x', identifier: 'acpi:fnck0704'), offered('y', identifier: 'acpi:pnp0c50')], $touch)
            ->package?->id)->toBe('x')
        ->and(matched([offered('s', identifier: 'pci:51a2:0202/4e52:0013')], new Device(
            'W2',
            'pci:51a2:0202',
            'network',
            '4e52:0013',
        ))->package?->id)->toBe('s');
});

it('says that the system brings a driver of the device itself', function () {
    $device = new Device('W2', 'pci:51a2:0202', 'network', identifiers: ['pci:51a2:0202']);
    $match = static fn (string $pattern): DeviceMatch => (new DriverShelf([]))->match(
        [$device],
        new MatchTarget('heron'),
        new AliasList([$pattern]),
    )[0];
    expect([$match('pci:v000051A2d00000202*')->brings, $match('pci:v000051A2d00000202*')->isMissing()])
        ->toBe([true, false])
        ->and([$match('pci:v000051A2d00000203*')->brings, $match('pci:v000051A2d00000203*')->isMissing()])
        ->toBe([false, true]);
});

it('gives every package that claims a device one place, winner or refused, whatever lies on the shelf', function () {
    $random = new Random\Randomizer(new Random\Engine\Mt19937(7));
    $pick = static fn (array $of): mixed => $of[$random->getInt(0, count($of) - 1)];
    $ids = ['pci:51a2:0202', 'pci:51a2:0202/4e52:0013', 'pci:51a2:0202#02', 'pci:51a2:*@0280', 'pci:9999:9999'];
    for ($case = 0; $case < 300; $case++) {
        $offers = [];
        for ($i = 0, $n = $random->getInt(0, 8); $i < $n; $i++) {
            $offers[] = offered("p{$i}", [
                'date' => $pick([null, '2026-01-01', '2026-02-02']),
                'channel' => $pick(['stable', 'preview']),
                'models' => $pick([[], ['fairlead'], ['capstan']]),
                'signed' => $pick([true, false]),
                'claims' => [new OfferedClaim($pick($ids), $pick([null, 'x86-64', 'arm-64']), $pick([null, 1, 9000]))],
            ]);
        }
        $match = matched($offers, target: new MatchTarget('heron', 'x86-64', 7200, 'fairlead', enforced: true));
        $claiming = array_filter($offers, static fn (PackageOffer $of): bool => $of->claims[0]->identifier !== $ids[4]);
        $named = [...array_keys(whys($match)), ...$match->package === null ? [] : [$match->package->source]];
        sort($named);
        expect($named)->toBe(array_values(array_map(static fn (PackageOffer $of): string => $of->source, $claiming)));
        expect(matched(array_reverse($offers), target: new MatchTarget(
            'heron',
            'x86-64',
            7200,
            'fairlead',
            enforced: true,
        ))->package?->id)->toBe($match->package?->id);
    }
});

it('holds two hundred devices against a hundred thousand claims in fifty milliseconds and 64 MB', function () {
    $offers = [];
    for ($p = 0; $p < 1000; $p++) {
        $claims = [];
        for ($c = 0; $c < 100; $c++) {
            $claims[] = new OfferedClaim(sprintf('pci:%04x:%04x', $p % 97, ($p * 100 + $c) % 65536), 'x86-64', 7000);
        }
        $offers[] = offered("p{$p}", ['claims' => $claims]);
    }
    $devices = [];
    for ($d = 0; $d < 200; $d++) {
        $devices[] = new Device("d{$d}", sprintf('pci:%04x:%04x', $d % 97, $d * 331), 'network', identifiers: [
            sprintf('pci:%04x:%04x/4e52:0013#02@028000', $d % 97, $d * 331),
        ]);
    }
    $before = memory_get_usage();
    $shelf = new DriverShelf($offers);
    $target = new MatchTarget('heron', 'x86-64', 7200);
    $held = (memory_get_usage() - $before) / 1e6;
    $times = [];
    for ($i = 0; $i < 7; $i++) {
        $times[] = 1000 * Worked::calmly(function () use ($shelf, $devices, $target, &$matches): void {
            $matches = $shelf->match($devices, $target, new AliasList());
        });
    }
    sort($times);
    expect($times[3])->toBeLessThan(50)
        ->and($held)->toBeLessThan(64)
        ->and(array_filter($matches, static fn (DeviceMatch $of): bool => $of->package !== null))->not->toBe([]);
})->group('slow');
