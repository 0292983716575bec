<?php

use Cobblestone\Drivers\Matching\MatchTarget;
use Cobblestone\Drivers\Matching\OfferedClaim;
use Cobblestone\Drivers\Matching\PackageOffer;

it('ranks by narrowness, model, channel, date and version, and says which decided', function (
    array $better,
    array $worse,
    string $why,
) {
    $offers = [offered('better', $better), offered('worse', $worse)];
    foreach ([$offers, array_reverse($offers)] as $in) {
        $match = matched($in);
        expect($match->package?->id)->toBe('better')->and(whys($match))->toBe(['worse.zip' => $why]);
    }
})->with(function () {
    $of = static fn (string $identifier, bool $compatible = false): array => [
        'claims' => [new OfferedClaim($identifier, compatible: $compatible)],
    ];

    return [
        'who fitted it and revision' => [
            $of('pci:51a2:0202/4e52:0013#02'),
            [...$of('pci:51a2:0202/4e52:0013'), 'models' => ['fairlead'], 'date' => '2026-09-09'],
            'specificity',
        ],
        'who fitted it' => [$of('pci:51a2:0202/4e52:0013'), $of('pci:51a2:0202#02'), 'specificity'],
        'the device before its class' => [
            [...$of('pci:51a2:0202'), 'date' => '2020-01-01'],
            $of('pci:*:*@0280'),
            'specificity',
        ],
        'itself before what works with it' => [$of('pci:51a2:0202'), $of('pci:51a2:0202', true), 'specificity'],
        'this model' => [
            ['models' => ['fairlead'], 'channel' => 'preview', 'date' => '2025-01-01'],
            ['date' => '2026-06-06'],
            'model',
        ],
        'the channel' => [['date' => '2025-01-01'], ['channel' => 'preview', 'date' => '2026-06-06'], 'channel'],
        'the date' => [['date' => '2026-06-06', 'version' => '1'], ['date' => '2026-06-05', 'version' => '9'], 'date'],
        'a date before none' => [['date' => '2020-01-01'], ['date' => null], 'date'],
        'the version' => [['version' => '1.10'], ['version' => '1.9'], 'version'],
        'nothing, but always the same' => [
            ['line' => 'one', 'version' => '1.9'],
            ['line' => 'two', 'version' => '1.10'],
            'version',
        ],
    ];
});

it('tells of a package with several setup files once', function () {
    $two = static fn (string $source, string $file, array $said): PackageOffer => offered(
        $source,
        ['source' => $source, 'setupFile' => $file, ...$said],
    );
    $match = matched([
        $two('one', 'a.inf', ['date' => '2026-02-02']),
        $two('one', 'b.inf', ['date' => '2026-01-01']),
        $two('two', 'a.inf', ['claims' => [new OfferedClaim('pci:51a2:0202', 'arm-64')]]),
        $two('two', 'b.inf', ['date' => '2026-02-01']),
        $two('three', 'a.inf', ['claims' => [new OfferedClaim('pci:51a2:0202', 'arm-64')]]),
        $two('three', 'b.inf', ['models' => ['capstan']]),
    ]);
    expect([$match->package?->source, $match->package?->setupFile])->toBe(['one', 'a.inf'])
        ->and(whys($match))->toBe(['three' => 'model', 'two' => 'date']);
});

it('takes the preview first where the bench does', function () {
    $match = matched(
        [offered('stable', ['date' => '2026-09-09']), offered('preview', ['channel' => 'preview'])],
        target: new MatchTarget('heron', channel: 'preview'),
    );
    expect($match->package?->id)->toBe('preview')->and(whys($match))->toBe(['stable.zip' => 'channel']);
});
