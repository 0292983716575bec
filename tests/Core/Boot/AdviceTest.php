<?php

use Cobblestone\Boot\Advice;
use Cobblestone\Boot\Model\Cause;
use Cobblestone\Boot\Model\Ground;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\Model\PassedEntry;
use Cobblestone\Boot\Model\Prediction;
use Cobblestone\Boot\Model\Stone;
use Cobblestone\Boot\RehearsalHead;
use Cobblestone\Boot\StartFound;
use Cobblestone\Document\Fields;
use Cobblestone\Media\Inspection\LoaderTrust;
use Tests\Support\Demo;

$end = fn (Outcome $outcome, string $stone, string $words, ?Cause $cause = null): Prediction => new Prediction(
    $outcome,
    null,
    [new Stone('power', true, 'It gets power.'), new Stone($stone, false, $words, $cause)],
    Ground::Standard,
);

it('picks what mends a failure by its cause, whatever a file is called', function (
    Outcome $outcome,
    string $stone,
    ?Cause $cause,
    string $fix,
) use ($end) {
    foreach (
        [
            '',
            ' USB is switched off',
            ' plugged in',
            ' holds no system',
            ' has a switch',
            ' no switch',
            ' altered',
            ' revoked',
            ' unsigned',
            ' no signature',
        ] as $name
    ) {
        expect(Advice::for($end($outcome, $stone, "No /EFI/BOOT/{$name}.EFI on it.", $cause))->fix)->toStartWith(
            $fix,
        );
    }
})->with([
    [Outcome::RefusedBySecureBoot, 'signature', Cause::SignerSwitchable, 'Trust the loader\'s signer'],
    [
        Outcome::RefusedBySecureBoot,
        'signature',
        Cause::SignerUnknown,
        'Secure Boot off for this start, and back on afterwards where',
    ],
    [Outcome::RefusedBySecureBoot, 'signature', Cause::Altered, 'The file was changed after'],
    [Outcome::RefusedBySecureBoot, 'signature', Cause::Revoked, 'Take the newer image'],
    [Outcome::RefusedBySecureBoot, 'signature', Cause::Unsigned, 'Take an image with a signed loader'],
    [Outcome::RefusedBySecureBoot, 'signature', Cause::SignerNotEnrolled, 'Enrol the signer'],
    [Outcome::RefusedBySecureBoot, 'signature', null, 'Enrol the signer'],
    [Outcome::NoBootableDevice, 'device', Cause::UsbStartOff, 'Switch starting from USB on'],
    [Outcome::NoBootableDevice, 'device', Cause::NotPluggedIn, 'Plug it in before'],
    [Outcome::NoBootableDevice, 'device', Cause::NoSystemOnDrive, 'Restore it over the cable'],
    [Outcome::NoBootableDevice, 'boot sector', null, 'Start it by UEFI'],
    [Outcome::NoBootableDevice, 'device', null, 'Another port on the board'],
]);

it('knows by the firmware itself that there is no UEFI', function () {
    $stones = fn (?Cause $cause) => [
        new Stone('firmware', true, 'The firmware, and only that.', $cause),
        new Stone('boot sector', false, 'Zeros.'),
    ];
    expect(
        Advice::for(new Prediction(Outcome::NoBootableDevice, null, $stones(Cause::LegacyOnly), Ground::Standard))
            ->fix,
    )
        ->toStartWith('This machine has no UEFI')
        ->and(Advice::for(new Prediction(Outcome::NoBootableDevice, null, $stones(null), Ground::Standard))->fix)
        ->toStartWith('Start it by UEFI');
});

it('carries the cause of the first line that was left', function () {
    $passed = [new PassedEntry('stick', Outcome::RefusedBySecureBoot, 'x', Cause::Revoked)];
    $prediction = new Prediction(
        Outcome::OldSystemStarts,
        'a',
        [new Stone('power', true, 'x')],
        Ground::Standard,
        [],
        $passed,
    );
    expect($prediction->because())
        ->toBe(Cause::Revoked)
        ->and(Advice::for($prediction)->fix)
        ->toStartWith('Take the newer image');
});

it('blames what a switch would not mend before the switch', function (
    LoaderTrust $trust,
    bool $third,
    bool $switch,
    Cause $cause,
) {
    expect(Cause::ofRefused($trust, $third, $switch))->toBe($cause);
})->with([
    [LoaderTrust::Altered, true, true, Cause::Altered],
    [LoaderTrust::Revoked, true, true, Cause::Revoked],
    [LoaderTrust::Unsigned, false, true, Cause::Unsigned],
    [LoaderTrust::SignerNotEnrolled, true, true, Cause::SignerSwitchable],
    [LoaderTrust::SignerNotEnrolled, true, false, Cause::SignerUnknown],
    [LoaderTrust::SignerNotEnrolled, false, true, Cause::SignerNotEnrolled],
    [LoaderTrust::CannotTell, true, true, Cause::SignerSwitchable],
]);

it('counts the head of a rehearsal from the rows below it', function () {
    $one = Demo::plan('fairlead-13')->assessment->all()['rehearsal'][0];
    $start = fn (int $number, bool $succeeds, ?string $hangs = null) => StartFound::read(Fields::of([
        ...$one,
        'step' => 's',
        'number' => $number,
        'outcome' => 'installer-starts',
        'succeeds' => $succeeds,
        'settled_by' => $hangs,
    ]));
    $seen = fn (int $number, string $seen, bool $looked) => [
        'step' => 's',
        'number' => $number,
        'predicted' => 'installer-starts',
        'seen' => $seen,
        'looked' => $looked,
    ];
    $starts = [$start(1, true), $start(2, true, 'firmware.secure_boot'), $start(3, false), $start(4, true, 'x')];
    $head = RehearsalHead::of($starts, [
        $seen(4, 'installer-starts', true),
        $seen(1, 'installer-starts', false),
        $seen(3, 'silent', true),
    ]);
    expect([$head->of, $head->fails, $head->hang, $head->through, $head->otherwise, $head->looked])->toBe([
        4,
        1,
        1,
        2,
        1,
        2,
    ]);
    expect(RehearsalHead::of($starts, [])->looked)->toBe(0);
});
