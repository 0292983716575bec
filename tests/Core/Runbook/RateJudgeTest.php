<?php

use Cobblestone\Quantity\RateSeen;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceFault;
use Cobblestone\Runbook\EvidenceJudge;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;

it('compares a rate of memory, and says where half of it is the clock', function (
    string $value,
    string $verdict,
    string $words,
) {
    $wanted = new Evidence('rate', 'Rate', EvidenceKind::Rate, expected: new Expected('6000 MT/s', 0.01));
    $finding = EvidenceJudge::judge($wanted, $value, []);
    expect($finding->verdict->value)->toBe($verdict)
        ->and($finding->words)->toContain($words)
        ->and($finding->expected)->toBe('6 000 MT/s')
        ->and($finding->observed)->toBe($value);
})->with([
    ['6000 MT/s', 'equal', 'as expected'],
    ['6000', 'equal', 'as expected'],
    // Many tools write the rate with the unit of a clock.
    ['6000 MHz', 'equal', 'as expected'],
    ['5 990 MT/s', 'within', '5990 read, 6 000 MT/s expected (plan)'],
    ['5940', 'within', '5940 read'],
    ['6060', 'within', '6060 read'],
    ['5939', 'differs', '5 939 MT/s read, 6 000 MT/s expected (plan)'],
    ['6061', 'differs', '6 061 MT/s read'],
    ['3000 MHz', 'within', '3000 MHz is the clock: the rate is twice that'],
    ['2970 MHz', 'within', 'is the clock'],
    ['2969 MHz', 'differs', '2 969 MT/s read'],
    ['3000', 'differs', 'is half of 6 000 MT/s: where the tool shows the clock, write it in MHz'],
    ['3000 MT/s', 'differs', '3 000 MT/s read, 6 000 MT/s expected (plan)'],
    ['12000 MT/s', 'differs', '12 000 MT/s read'],
    ['fast', 'differs', '"fast" is no rate'],
]);

it('reads a rate with or without its unit, and nothing else', function (string $text, ?array $is) {
    $seen = RateSeen::parse($text);
    expect($seen === null ? null : [$seen->figure, $seen->isMegahertz, $seen->isTransfers])->toBe($is);
})->with([
    ['3200', [3200, false, false]],
    [' 3 200 mt/s ', [3200, false, true]],
    ['3200MTs', [3200, false, true]],
    ["3\u{a0}200 MHz", [3200, true, false]],
    ['99', [99, false, false]],
    ['999999', [999999, false, false]],
    ['9', null],
    ['1000000', null],
    ['3.2 GHz', null],
    ['3200 kHz', null],
    ['-3200', null],
    ['', null],
]);

it('takes no rate that is none', function (string $value, bool $taken) {
    $wanted = new Evidence('rate', 'Rate', EvidenceKind::Rate, expected: new Expected('6000'), mayBeOpen: true);
    expect(EvidenceFault::fault($wanted, $value) === null)->toBe($taken);
})->with([['6000', true], ['6000 MHz', true], ['not read', true], ['quick', false], ['6 GHz', false]]);
