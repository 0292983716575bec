<?php

use Cobblestone\Runbook\JobKind;
use Cobblestone\Runbook\Kind\SheetFacts;
use Cobblestone\Runbook\PlannedJob;
use Tests\Support\Demo;

/** @return array<string, bool> what sets a kind of job apart */
function kindIs(JobKind $kind): array
{
    $rules = $kind->rules();

    return array_filter([
        'no image' => ! $rules->wantsImage(),
        'no system' => ! $rules->wantsSystem(),
        'keeps the system' => $rules->keepsSystem(),
        'no machine' => ! $rules->hasMachine(),
        'fits a drive' => $rules->fitsDrive(),
        'new build' => $rules->isNewBuild(),
        'starts the recovery' => $rules->startsRecovery(),
        'firmware' => $rules->updatesFirmware(),
        'restore bundle' => $rules->imageKind() === 'device-restore',
    ]);
}

it('says of each kind what it asks for and keeps', function (JobKind $kind, array $is) {
    expect(array_keys(kindIs($kind)))->toBe($is);
})->with([
    [JobKind::CleanInstall, []],
    [JobKind::MediaOnly, ['no machine']],
    [JobKind::FirstPowerOn, ['new build']],
    [JobKind::DriveSwap, ['fits a drive']],
    [JobKind::FactoryRestore, ['no image', 'starts the recovery']],
    [JobKind::FirmwareUpdate, ['no image', 'no system', 'keeps the system', 'firmware']],
    [JobKind::CardSwap, ['no image', 'keeps the system']],
    [JobKind::Repair, ['no image', 'keeps the system']],
    [JobKind::CableRestore, ['restore bundle']],
    [JobKind::Upgrade, ['keeps the system']],
]);

it('begins the sheet with what was done, and says nothing that was not', function (
    JobKind $kind,
    string $before,
    string $after,
) {
    $job = new PlannedJob(
        'T',
        $kind,
        'the crew office',
        'Norrel Fairlead 13',
        null,
        'laptop',
        'Orrin',
        'Dock',
        'img',
        'Gull',
    );
    $sheet = fn (bool $done): string => $kind->rules()->intro(new SheetFacts($job, $done, $done, false));
    expect($sheet(false))->toBe($before)->and($sheet(true))->toBe($after);
})->with([
    [
        JobKind::CleanInstall,
        'Norrel Fairlead 13, for the crew office. It is to carry Orrin Dock, installed fresh.',
        'Norrel Fairlead 13, for the crew office. It now carries Orrin Dock, installed fresh.',
    ],
    [
        JobKind::MediaOnly,
        'A stick, Gull, that is to be made with img for a Norrel Fairlead 13, made for the crew office.',
        'A stick, Gull, with img for a Norrel Fairlead 13, made for the crew office.',
    ],
    [
        JobKind::CableRestore,
        'Norrel Fairlead 13, for the crew office. It is to carry Orrin Dock, restored over a cable.',
        'Norrel Fairlead 13, for the crew office. It now carries Orrin Dock, restored over a cable.',
    ],
    [
        JobKind::Upgrade,
        'Norrel Fairlead 13, for the crew office. It was here to be upgraded to Orrin Dock; '
            .'programs and files were meant to stay.',
        'Norrel Fairlead 13, for the crew office. It was here to be upgraded to Orrin Dock; '
            .'programs and files were meant to stay.',
    ],
]);

it('is asked what it is, never by its name', function () {
    $named = [];
    $may = [
        'core/Runbook/JobKind.php', 'core/Job/JobPlanner.php', 'core/Brief/Brief.php',
        'app/Http/Requests/IntakeForm.php',
    ];
    foreach (['core', 'app', 'resources/views'] as $folder) {
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(Demo::root()."/{$folder}"));
        foreach ($files as $file) {
            $path = substr((string) $file, strlen(Demo::root()) + 1);
            $code = $file->isFile() ? (string) file_get_contents((string) $file) : '';
            if (preg_match('/JobKind::[A-Z]/', $code) === 1 && ! in_array($path, $may, true)) {
                $named[] = $path;
            }
        }
    }
    expect($named)->toBe([]);
});
