<?php

use Cobblestone\Assessment\Encryption\EncryptionBranch;
use Cobblestone\Boot\BootScene;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\PowerOn;
use Cobblestone\Boot\Rehearsal;
use Cobblestone\Boot\RehearsalGates;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Verdict;
use Cobblestone\Runbook\Wants;
use Tests\Support\BootBench as Bench;
use Tests\Support\Demo;

it('ends every demo path in the wanted system, with everything put back', function (string $job) {
    $plan = Demo::plan($job);
    $starts = rehearsed($plan);
    if ($plan->job->kind->value === 'media-only') {
        expect($starts)->toBe([])
            ->and(array_column($plan->assessment->all()['kinds'], 'kind'))->toBe(['uefi', 'uefi-secure', 'bios']);

        return;
    }
    $last = $starts[count($starts) - 1];
    expect($last->step)->toBe('hand-over.give-back')->and($last->succeeds())->toBeTrue()
        ->and(array_filter($starts, fn (PowerOn $start): bool => ! $start->succeeds()))->toBe([])
        ->and(array_map(fn (PowerOn $start): array => $start->found()->toArray(), $starts))
        ->toEqual(array_values(array_filter(
            $plan->assessment->all()['rehearsal'],
            fn (array $start): bool => $start['wants'] !== 'setup',
        )));
})->with(Demo::ALL);

it('confirms every branch of drive encryption, and shows what suspending was for', function (
    string $job,
    array $facts,
    EncryptionBranch $branch,
    ?Outcome $without,
) {
    $plan = Demo::plan($job, ['machine' => ['facts' => $facts]]);
    expect($plan->assessment->all()['encryption']['branch'])->toBe($branch->value);
    if ($branch === EncryptionBranch::Stop) {
        expect($plan->verdict())->toBe(Verdict::Stop);

        return;
    }
    if ($branch === EncryptionBranch::Ask) {
        expect($plan->verdict())->toBe(Verdict::Hold);

        return;
    }
    expect(array_filter(rehearsed($plan), fn (PowerOn $start): bool => ! $start->succeeds()))->toBe([]);
    $forgotten = array_values(array_unique(
        array_map(
            fn (PowerOn $start): Outcome => $start->prediction->outcome,
            rehearsed($plan, forgetting('encryption')),
        ),
        SORT_REGULAR,
    ));
    $without === null
        ? expect($forgotten)->toBe([Outcome::WantedSystemStarts])
        : expect($forgotten)->toContain($without);
})->with([
    'not encrypted' => ['firmware-update', ['drive.encryption' => 'none'], EncryptionBranch::NotEncrypted, null],
    'key in clear' => ['firmware-update', ['drive.encryption' => 'key-in-clear'], EncryptionBranch::KeyInClear, null],
    'passphrase' => [
        'firmware-update',
        ['drive.encryption' => 'passphrase'],
        EncryptionBranch::FirmwareDoesNotMatter,
        null,
    ],
    'bound to something else' => [
        'firmware-update',
        ['drive.encryption' => 'chip', 'encryption.binding' => 'keys'],
        EncryptionBranch::NothingTouchesIt,
        null,
    ],
    'suspended, firmware' => [
        'firmware-update',
        ['drive.encryption' => 'chip', 'encryption.binding' => 'measured', 'encryption.key' => 'yes'],
        EncryptionBranch::SuspendAndResume,
        Outcome::RecoveryKeyPrompt,
    ],
    'suspended, chip and PIN' => [
        'firmware-update',
        ['drive.encryption' => 'chip-and-pin', 'encryption.binding' => 'measured', 'encryption.key' => 'yes'],
        EncryptionBranch::SuspendAndResume,
        Outcome::RecoveryKeyPrompt,
    ],
    'suspended, card' => [
        'card-swap',
        ['drive.encryption' => 'chip', 'encryption.binding' => 'measured', 'encryption.key' => 'yes'],
        EncryptionBranch::SuspendAndResume,
        Outcome::RecoveryKeyPrompt,
    ],
    'suspended, upgrade' => [
        'upgrade',
        ['drive.encryption' => 'chip', 'encryption.binding' => 'measured', 'encryption.key' => 'yes'],
        EncryptionBranch::SuspendAndResume,
        Outcome::RecoveryKeyPrompt,
    ],
    'no key' => [
        'firmware-update',
        ['drive.encryption' => 'chip', 'encryption.binding' => 'measured', 'encryption.key' => 'no'],
        EncryptionBranch::Stop,
        null,
    ],
    'nobody knows' => ['firmware-update', ['drive.encryption' => 'unknown'], EncryptionBranch::Ask, null],
]);

it('erases an encrypted drive without asking its key, because the stick is picked in the menu', function () {
    $plan = Demo::plan('fairlead-13', [
        'machine' => ['facts' => ['drive.encryption' => 'chip', 'encryption.binding' => 'measured']],
    ]);
    expect($plan->assessment->all()['encryption']['branch'])->toBe('erased-anyway')
        ->and(array_filter(rehearsed($plan), fn (PowerOn $start): bool => ! $start->succeeds()))->toBe([]);
    // Starting the old system after the settings were changed is what would ask.
    $byOrder = rehearsed(
        $plan,
        fn (Step $step): Step => $step->id === 'boot.start' ? $step->booting([BootEvent::start(Wants::System)]) : $step,
    );
    expect($byOrder[0]->prediction->outcome)->toBe(Outcome::RecoveryKeyPrompt)->and($byOrder[0]->blocks())->toBeTrue();
});

it('sees what is forgotten', function (string $job, string $what, string $step, Outcome $outcome) {
    $start = array_values(array_filter(
        rehearsed(Demo::plan($job), forgetting($what)),
        fn (PowerOn $start): bool => $start->step === $step,
    ))[0];
    expect($start->prediction->outcome)->toBe($outcome)->and($start->succeeds())->toBeFalse();
})->with([
    'the stick was never written' => ['fairlead-13', 'stick.content', 'boot.start', Outcome::LoaderMissing],
    'the stick is not plugged in' => ['fairlead-13', 'stick', 'boot.start', Outcome::NoBootableDevice],
    'the drive was not erased: the old system is there, and asks for its key' => [
        'fairlead-13', 'target', 'hand-over.give-back', Outcome::RecoveryKeyPrompt,
    ],
    'the signer was not trusted' => [
        'capstan-t3', 'firmware.third_party_signer', 'boot.start', Outcome::RefusedBySecureBoot,
    ],
    'the sequence was not held' => ['cable-restore', 'recovery.held', 'boot.recovery', Outcome::OldSystemStarts],
]);

it('calls the installer coming back a loop', function () {
    $scene = new BootScene(Bench::state(devices: [Bench::stick(), Bench::drive()]), null, null, null);
    $step = Demo::plan('fairlead-13')->step('install.stick-out')->booting([BootEvent::start(Wants::NextPart)]);
    $start = Rehearsal::run($scene, [$step])[0];
    expect($start->prediction->outcome)->toBe(Outcome::InstallLoop)
        ->and($start->blocks())->toBeTrue()
        ->and($start->advice()->fix)->toContain('Pull the stick')
        ->and($start->prediction->missing()?->words)->toContain('still in');
});

it('holds a step back that a standard says fails, once for each reason, and lets the roles overrule it', function () {
    $plan = Demo::plan('capstan-t3', [
        'machine' => [
            'facts' => [
                'firmware.supervisor_password' => 'lost',
                'firmware.secure_boot' => 'on',
                'target.path' => 'nvme0n1',
            ],
        ],
    ]);
    $gates = [];
    foreach ($plan->steps as $step) {
        foreach ($step->gates as $gate) {
            if (str_starts_with($gate->id, RehearsalGates::PREFIX)) {
                $gates[$step->id] = $gate;
            }
        }
    }
    expect(array_keys($gates))->toBe(['boot.start'])
        ->and($gates['boot.start']->waivableBy)->toBe(['technician', 'lead'])
        ->and($gates['boot.start']->title)->toStartWith('The rehearsal says: refused by Secure Boot')
        ->and($plan->blockers[0]->reason)->toContain('supervisor password');
});

it('warns and does not block where only the catalogue or an unlooked-at fact says so', function () {
    $plan = Demo::plan('unknown-laptop');
    $start = rehearsed($plan)[0];
    expect($start->possible)->toBe([Outcome::InstallerStarts, Outcome::RefusedBySecureBoot])
        ->and($start->settledBy)->toBe('firmware.secure_boot')
        ->and($start->blocks())->toBeFalse()
        ->and(array_filter(
            $plan->steps,
            fn (Step $step): bool => array_filter(
                $step->gates,
                fn ($gate): bool => str_starts_with($gate->id, RehearsalGates::PREFIX),
            ) !== [],
        ))
        ->toBe([]);
});
