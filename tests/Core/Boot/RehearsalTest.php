<?php

use Cobblestone\Assessment\Encryption\EncryptionBranch;
use Cobblestone\Boot\Advice;
use Cobblestone\Boot\BootScene;
use Cobblestone\Boot\Model\Ground;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\PowerOn;
use Cobblestone\Boot\Quirk;
use Cobblestone\Boot\Reality;
use Cobblestone\Boot\Rehearsal;
use Cobblestone\Boot\RehearsalGates;
use Cobblestone\Brief\SeenStart;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Verdict;
use Cobblestone\Runbook\Wants;
use Tests\Support\BootBench as Bench;
use Tests\Support\Demo;

/** @return list<PowerOn> the plan's power-ons, those into the setup left out */
function rehearsed(Plan $plan, ?callable $change = null): array
{
    $steps = $change === null ? $plan->steps : array_map($change, $plan->steps);

    return array_values(array_filter(Rehearsal::run(BootScene::fromArray($plan->assessment['boot']), $steps), fn (PowerOn $start): bool => $start->wants !== Wants::Setup));
}

/** Leaves one kind of change out of a step, as if a technician had forgotten it. */
function forgetting(string $what): callable
{
    return fn (Step $step): Step => $step->booting(array_values(array_filter($step->boots, fn (BootEvent $event): bool => ! isset($event->changes[$what]))));
}

it('ends every demo path in the wanted system, with everything put back', function (string $job) {
    $plan = Demo::plan($job);
    $starts = rehearsed($plan);
    if ($plan->job->kind->value === 'media-only') {
        expect($starts)->toBe([])->and(array_column($plan->assessment['kinds'], 'kind'))->toBe(['uefi', 'uefi-secure', 'bios']);

        return;
    }
    $last = $starts[count($starts) - 1];
    expect($last->step)->toBe('hand-over.give-back')->and($last->succeeds())->toBeTrue()
        ->and(array_filter($starts, fn (PowerOn $start): bool => ! $start->succeeds()))->toBe([])
        ->and(array_map(fn (PowerOn $start): array => $start->toArray(), $starts))->toEqual(array_values(array_filter($plan->assessment['rehearsal'], fn (array $start): bool => $start['wants'] !== 'setup')));
})->with(Demo::ALL);

it('confirms every branch of drive encryption, and shows what suspending was for', function (string $job, array $facts, EncryptionBranch $branch, ?Outcome $without) {
    $plan = Demo::plan($job, ['machine' => ['facts' => $facts]]);
    expect($plan->assessment['encryption']['branch'])->toBe($branch->value);
    if ($branch === EncryptionBranch::Stop) {
        expect($plan->verdict())->toBe(Verdict::Stop);

        return;
    }
    if ($branch === EncryptionBranch::Ask) {
        expect($plan->verdict())->toBe(Verdict::Hold);

        return;
    }
    expect(array_filter(rehearsed($plan), fn (PowerOn $start): bool => ! $start->succeeds()))->toBe([]);
    $forgotten = array_values(array_unique(array_map(fn (PowerOn $start): Outcome => $start->prediction->outcome, rehearsed($plan, forgetting('encryption'))), SORT_REGULAR));
    $without === null ? expect($forgotten)->toBe([Outcome::WantedSystemStarts]) : expect($forgotten)->toContain($without);
})->with([
    'not encrypted' => ['firmware-update', ['drive.encryption' => 'none'], EncryptionBranch::NotEncrypted, null],
    'key in clear' => ['firmware-update', ['drive.encryption' => 'key-in-clear'], EncryptionBranch::KeyInClear, null],
    'passphrase' => ['firmware-update', ['drive.encryption' => 'passphrase'], EncryptionBranch::FirmwareDoesNotMatter, null],
    'bound to something else' => ['firmware-update', ['drive.encryption' => 'chip', 'encryption.binding' => 'keys'], EncryptionBranch::NothingTouchesIt, null],
    'suspended, firmware' => ['firmware-update', ['drive.encryption' => 'chip', 'encryption.binding' => 'measured', 'encryption.key' => 'yes'], EncryptionBranch::SuspendAndResume, Outcome::RecoveryKeyPrompt],
    'suspended, chip and PIN' => ['firmware-update', ['drive.encryption' => 'chip-and-pin', 'encryption.binding' => 'measured', 'encryption.key' => 'yes'], EncryptionBranch::SuspendAndResume, Outcome::RecoveryKeyPrompt],
    'suspended, card' => ['card-swap', ['drive.encryption' => 'chip', 'encryption.binding' => 'measured', 'encryption.key' => 'yes'], EncryptionBranch::SuspendAndResume, Outcome::RecoveryKeyPrompt],
    'suspended, upgrade' => ['upgrade', ['drive.encryption' => 'chip', 'encryption.binding' => 'measured', 'encryption.key' => 'yes'], EncryptionBranch::SuspendAndResume, Outcome::RecoveryKeyPrompt],
    'no key' => ['firmware-update', ['drive.encryption' => 'chip', 'encryption.binding' => 'measured', 'encryption.key' => 'no'], EncryptionBranch::Stop, null],
    'nobody knows' => ['firmware-update', ['drive.encryption' => 'unknown'], EncryptionBranch::Ask, null],
]);

it('erases an encrypted drive without asking its key, because the stick is picked in the menu', function () {
    $plan = Demo::plan('fairlead-13', ['machine' => ['facts' => ['drive.encryption' => 'chip', 'encryption.binding' => 'measured']]]);
    expect($plan->assessment['encryption']['branch'])->toBe('erased-anyway')->and(array_filter(rehearsed($plan), fn (PowerOn $start): bool => ! $start->succeeds()))->toBe([]);
    // Starting the old system after the settings were changed is what would ask.
    $byOrder = rehearsed($plan, fn (Step $step): Step => $step->id === 'boot.start' ? $step->booting([BootEvent::start(Wants::System)]) : $step);
    expect($byOrder[0]->prediction->outcome)->toBe(Outcome::RecoveryKeyPrompt)->and($byOrder[0]->blocks())->toBeTrue();
});

it('sees what is forgotten', function (string $job, string $what, string $step, Outcome $outcome) {
    $start = array_values(array_filter(rehearsed(Demo::plan($job), forgetting($what)), fn (PowerOn $start): bool => $start->step === $step))[0];
    expect($start->prediction->outcome)->toBe($outcome)->and($start->succeeds())->toBeFalse();
})->with([
    'the stick was never written' => ['fairlead-13', 'stick.content', 'boot.start', Outcome::LoaderMissing],
    'the stick is not plugged in' => ['fairlead-13', 'stick', 'boot.start', Outcome::NoBootableDevice],
    'the drive was not erased: the old system is there, and asks for its key' => ['fairlead-13', 'target', 'hand-over.give-back', Outcome::RecoveryKeyPrompt],
    'the signer was not trusted' => ['capstan-t3', 'firmware.third_party_signer', 'boot.start', Outcome::RefusedBySecureBoot],
    'the sequence was not held' => ['cable-restore', 'recovery.held', 'boot.recovery', Outcome::OldSystemStarts],
]);

it('calls the installer coming back a loop', function () {
    $scene = new BootScene(Bench::state(devices: [Bench::stick(), Bench::drive()]), null, null, null);
    $step = Demo::plan('fairlead-13')->step('install.stick-out')->booting([BootEvent::start(Wants::NextPart)]);
    $start = Rehearsal::run($scene, [$step])[0];
    expect($start->prediction->outcome)->toBe(Outcome::InstallLoop)->and($start->blocks())->toBeTrue()->and($start->advice()->fix)->toContain('Pull the stick')->and($start->prediction->missing()?->words)->toContain('still in');
});

it('holds a step back that a standard says fails, once for each reason, and lets the roles overrule it', function () {
    $plan = Demo::plan('capstan-t3', ['machine' => ['facts' => ['firmware.supervisor_password' => 'lost', 'firmware.secure_boot' => 'on', 'target.path' => 'nvme0n1']]]);
    $gates = [];
    foreach ($plan->steps as $step) {
        foreach ($step->gates as $gate) {
            if (str_starts_with($gate->id, RehearsalGates::PREFIX)) {
                $gates[$step->id] = $gate;
            }
        }
    }
    expect(array_keys($gates))->toBe(['boot.start'])->and($gates['boot.start']->waivableBy)->toBe(['technician', 'lead'])->and($gates['boot.start']->title)->toStartWith('The rehearsal says: refused by Secure Boot')
        ->and($plan->blockers[0]->reason)->toContain('supervisor password');
});

it('warns and does not block where only the catalogue or an unlooked-at fact says so', function () {
    $plan = Demo::plan('unknown-laptop');
    $start = rehearsed($plan)[0];
    expect($start->possible)->toBe([Outcome::InstallerStarts, Outcome::RefusedBySecureBoot])->and($start->settledBy)->toBe('firmware.secure_boot')->and($start->blocks())->toBeFalse()
        ->and(array_filter($plan->steps, fn (Step $step): bool => array_filter($step->gates, fn ($gate): bool => str_starts_with($gate->id, RehearsalGates::PREFIX)) !== []))->toBe([]);
});

it('lets what was seen on a model outrank what was worked out', function () {
    $scene = BootScene::fromArray(Demo::plan('fairlead-13')->assessment['boot']);
    $with = new BootScene($scene->state, $scene->stick, $scene->system, $scene->systemEntry, $scene->defaults, [new Quirk(Wants::Installer, Outcome::InstallerStarts, Outcome::StopsInSetup, 3)]);
    $starts = Rehearsal::run($with, Demo::plan('fairlead-13')->steps);
    $start = array_values(array_filter($starts, fn (PowerOn $start): bool => $start->wants === Wants::Installer))[0];
    expect($start->prediction->outcome)->toBe(Outcome::StopsInSetup)->and($start->prediction->ground)->toBe(Ground::SeenHere)->and($start->prediction->ground->title($start->prediction->times))->toBe('seen on this model 3 times')
        ->and($start->blocks())->toBeFalse()->and($start->possible)->toBe([Outcome::StopsInSetup]);
    expect(BootScene::fromArray(json_decode(json_encode($with->toArray()), true)))->toEqual($with);
});

it('counts what was seen against what was predicted', function () {
    $one = ['wants' => 'installer', 'predicted' => 'installer-starts', 'seen' => 'silent'];
    expect(Reality::accuracy([]))->toBe(['right' => 0, 'of' => 0, 'percent' => null])
        ->and(Reality::accuracy([$one, [...$one, 'seen' => 'installer-starts'], [...$one, 'seen' => 'installer-starts']]))->toBe(['right' => 2, 'of' => 3, 'percent' => 66.7])
        ->and(array_map(fn (Quirk $quirk): array => $quirk->toArray(), Reality::quirks([$one, [...$one, 'seen' => 'stops-in-setup'], $one, [...$one, 'seen' => 'installer-starts']])))->toBe([
            ['wants' => 'installer', 'predicted' => 'installer-starts', 'seen' => 'silent', 'times' => 2], ['wants' => 'installer', 'predicted' => 'installer-starts', 'seen' => 'stops-in-setup', 'times' => 1],
        ]);
});

it('offers what could have happened, the possible first, never what was predicted', function (Wants $wants) {
    $choices = Reality::choices($wants, Outcome::InstallerStarts, [Outcome::InstallerStarts, Outcome::Silent]);
    expect($choices[0])->toBe(Outcome::Silent)->and($choices)->not->toContain(Outcome::InstallerStarts)->and(count($choices))->toBeGreaterThanOrEqual(3)
        ->and(array_unique($choices, SORT_REGULAR))->toHaveCount(count($choices));
})->with(Wants::cases());

it('begins a step with what mends the last try, in the order for sticks that are not listed', function () {
    $step = Demo::plan('fairlead-13')->step('boot.start');
    $seen = [new SeenStart('boot.start', 'silent'), new SeenStart('boot.start', 'no-bootable-device'), new SeenStart('other', 'silent')];
    expect(Reality::advise($step, $seen)->instructions[0])->toBe('Last time: no bootable device. Not in the list, in this order: another port on the board; written for the other mode; USB start off in the setup; the firmware\'s fast start; another stick.')
        ->and(Reality::advise($step, [new SeenStart('boot.start', 'loader-stopped')])->instructions[0])->toContain('First: Write the stick again')
        ->and(Reality::advise($step, [new SeenStart('other', 'silent'), new SeenStart('boot.start', 'nonsense')]))->toBe($step);
    expect(Demo::plan('fairlead-13', ['seen' => array_map(fn (SeenStart $one) => $one->toArray(), $seen)])->step('boot.start')?->instructions[0])->toStartWith('Last time: no bootable device.');
});

it('names a way out of every failure', function (Outcome $outcome) {
    $advice = Advice::forOutcome($outcome);
    $good = in_array($outcome, [Outcome::InstallerStarts, Outcome::WantedSystemStarts, Outcome::RecoveryStarts, Outcome::StopsInSetup], true);
    expect($advice->fix === '')->toBe($good)->and($advice->who)->toBeIn(['technician', 'lead', 'owner']);
})->with(Outcome::cases());

it('grounds', function () {
    expect(array_map(fn (Ground $ground): bool => $ground->blocks(), Ground::cases()))->toBe([true, false, false, false])
        ->and(Ground::SeenHere->title(1))->toBe('seen on this model once')->and(Ground::Standard->title())->toBe('standard');
});

it('knows the other drives, and the system that may start from one of them', function () {
    $scene = BootScene::fromArray(Demo::plan('capstan-t3')->assessment['boot']);
    $others = array_values(array_filter($scene->state->devices, fn ($device): bool => str_starts_with($device->id, 'drive-')));
    expect(count($others))->toBe(2)->and($scene->state->order)->toContain('drive-2', 'drive-3');
    $plan = Demo::plan('capstan-t3');
    $lsblk = json_decode($plan->job->model === null ? '{}' : (string) Demo::brief('capstan-t3')['machine']['lsblk'], true);
    foreach ($lsblk['blockdevices'] as $index => $device) {
        if (($device['name'] ?? '') !== 'nvme0n1' && ($device['children'] ?? []) !== []) {
            $lsblk['blockdevices'][$index]['children'][0]['parttype'] = 'c12a7328-f81f-11d2-ba4b-00a0c93ec93b';
        }
    }
    $with = Demo::plan('capstan-t3', ['machine' => ['lsblk' => json_encode($lsblk)]]);
    $leads = array_map(fn ($device): string => $device->medium->leads->value, BootScene::fromArray($with->assessment['boot'])->state->devices);
    expect($leads)->toContain('old-system');
    // With the target never installed, it is that leftover which starts, and the rehearsal says so.
    $last = rehearsed($with, forgetting('target'));
    expect($last[count($last) - 1]->prediction->outcome)->toBe(Outcome::OldSystemStarts)->and($last[count($last) - 1]->succeeds())->toBeFalse();
});

it('shows why Secure Boot goes back on before a system that encrypts by itself is online', function () {
    $brief = ['image' => ['name' => 'x.img', 'bytes' => 3_000_000_000, 'kind' => 'raw', 'loader' => ['signed' => false]], 'machine' => ['facts' => ['firmware.secure_boot' => 'on', 'firmware.older_devices' => 'off', 'firmware.boot_mode' => 'uefi']]];
    $plan = Demo::plan('fairlead-13', $brief);
    expect(array_filter(rehearsed($plan), fn (PowerOn $start): bool => ! $start->succeeds()))->toBe([]);
    $late = [...array_filter($plan->steps, fn (Step $step): bool => $step->id !== 'put-back.secure-boot'), $plan->step('put-back.secure-boot')];
    $starts = Rehearsal::run(BootScene::fromArray($plan->assessment['boot']), array_values($late));
    expect($starts[count($starts) - 1]->prediction->outcome)->toBe(Outcome::RecoveryKeyPrompt);
});

it('comes through under every policy and on every kind of target', function (string $job, array $policy) {
    expect(array_filter(rehearsed(Demo::plan($job, [], $policy)), fn (PowerOn $start): bool => ! $start->succeeds()))->toBe([]);
})->with(['fairlead-13', 'capstan-t3', 'pocket-lantern', 'new-capstan', 'drive-swap'])->with([[['boot' => 'permanent-order']], [['auto_encryption' => 'off']], [['boot' => 'permanent-order', 'auto_encryption' => 'off', 'scheme' => 'widest']]]);

it('learns from an end what it can', function () {
    expect(Reality::teaches(Outcome::RefusedBySecureBoot, ''))->toBe(['stick.refused' => 'yes', 'firmware.secure_boot' => 'on'])
        ->and(Reality::teaches(Outcome::RecoveryKeyPrompt, 'keys'))->toBe(['encryption.binding' => 'measured'])
        ->and(Reality::teaches(Outcome::RecoveryKeyPrompt, 'measured'))->toBe([])->and(Reality::teaches(Outcome::Silent, 'keys'))->toBe([]);
    $plan = Demo::plan('fairlead-13', ['machine' => ['facts' => ['stick.refused' => 'yes', 'firmware.secure_boot' => 'on', 'firmware.boot_mode' => 'uefi', 'firmware.older_devices' => 'off']]]);
    expect(array_column($plan->step('firmware.set')->rows ?? [], 'becomes', 'where')['Keys › Secure Boot'])->toBe('off')->and(array_filter(rehearsed($plan), fn (PowerOn $start): bool => ! $start->succeeds()))->toBe([]);
    $kept = rehearsed($plan, fn (Step $step): Step => $step->id === 'firmware.set' ? $step->booting([]) : $step);
    expect($kept[0]->prediction->outcome)->toBe(Outcome::RefusedBySecureBoot);
});
