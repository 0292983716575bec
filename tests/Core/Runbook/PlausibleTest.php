<?php

use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceFault;
use Cobblestone\Runbook\EvidenceKind;
use Tests\Support\Demo;

// A number that cannot be and a sentence where a person is asked for are refused, expected or not (section 6).

it('takes a name or a role for a person, and no sentence', function (string $value, bool $taken) {
    $wanted = new Evidence('by', 'Who agreed', EvidenceKind::Person);
    expect(EvidenceFault::fault($wanted, $value) === null)->toBe($taken);
})->with([
    ['the owner', true], ['bench lead', true], ['Evening technician 2', true],
    ['the owner of the ticket counter', true],
    ['木村', true], ['As seen, nothing odd', false], ['nothing', false], ['OK', false], ['-', false], ['12', false],
    ['She said it would be fine.', false], ['who agreed?', false], ["two\nlines", false], ['<b>owner</b>', false],
    ['one two three four five six seven', false], [str_repeat('a', 81), false], [str_repeat('a', 80), true],
]);

it('refuses a number that cannot be, and says what can', function (Evidence $wanted, string $value, ?string $says) {
    expect(EvidenceFault::fault($wanted, $value))->toBe($says);
})->with(function () {
    $rate = new Evidence('rate', 'Picture rate, Hz', EvidenceKind::Count, between: [20, 1000]);
    $no = static fn (string $value): string => "Picture rate, Hz: {$value} cannot be; 20 to 1 000 is plausible. "
        .'Look once more, and at the unit.';

    return [
        [$rate, '1', $no('1')], [$rate, '19', $no('19')], [$rate, '20', null], [$rate, '1000', null],
        [$rate, '1001', $no('1001')],
        [new Evidence('p', 'Charge', EvidenceKind::Percent), '101', 'Charge: percent end at 100, 101 is more.'],
        [new Evidence('f', 'Files', EvidenceKind::Count), '1000000000000', null],
        [new Evidence('f', 'Files', EvidenceKind::Count), '1000000000001', 'Files: 1000000000001 cannot be; 0 to '
            .'1 000 000 000 000 is plausible. Look once more, and at the unit.'],
    ];
});

it('keeps through a plan what numbers can be, and asks the screen of a card for one', function () {
    $asked = Demo::plan('card-swap')->step('drivers.prove-card')->evidence ?? [];
    $rate = array_column($asked, null, 'id')['picture_rate'];
    expect($rate->between)->toBe([20, 1000])
        ->and(Evidence::fromArray(json_decode((string) json_encode($rate->toArray()), true)))->toEqual($rate)
        ->and(fn () => Evidence::fromArray([...$rate->toArray(), 'options' => [], 'between' => ['a', 2]]))
        ->toThrow(Cobblestone\Document\FieldFault::class, 'two whole numbers');
});
