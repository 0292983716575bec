<?php

use Cobblestone\Boot\Emulated\DriveBus;
use Cobblestone\Boot\Emulated\EmulatedFirmware;
use Cobblestone\Boot\Emulated\EmulatedParts;
use Cobblestone\Boot\Emulated\StartJudge;
use Cobblestone\Boot\Emulated\StartSeen;

const LOADING = "BdsDxe: loading Boot0001 \"UEFI STICK\" from PciRoot(0x0)\n";
const STARTING = LOADING."BdsDxe: starting Boot0001 \"UEFI STICK\" from PciRoot(0x0)\n";
const SHELL = "BdsDxe: loading Boot0002 \"EFI Internal Shell\" from Fv(7C)\n"
    ."BdsDxe: starting Boot0002 \"EFI Internal Shell\" from Fv(7C)\nUEFI Interactive Shell v2.2\n";
const ENTERED = "(version 1.16)\nBooting from Hard Disk...\n";

it('judges a start by UEFI', function (string $printed, float $quiet, bool $moved, ?StartSeen $seen) {
    $judge = new StartJudge(EmulatedFirmware::Uefi);
    expect($judge->seen($printed, $quiet, 0, $moved))->toBe($seen)
        ->and((new StartJudge(EmulatedFirmware::UefiSecure))->seen($printed, $quiet, 0, $moved))->toBe($seen);
})->with([
    'nothing yet' => ['', 60.0, false, null],
    'the firmware only' => [LOADING, 60.0, false, null],
    'just entered' => [STARTING, 1.0, false, null],
    'entered, and silent' => [STARTING, 8.0, false, StartSeen::Silent],
    'not silent for long enough' => [STARTING, 7.9, false, null],
    'it speaks' => [STARTING."\nCrew installer 7\n", 3.0, false, StartSeen::Starts],
    'it goes on speaking' => [STARTING."\nCrew installer 7\n", 2.9, false, null],
    'it draws without a word' => [STARTING, 3.0, true, StartSeen::Starts],
    'it draws, and goes on' => [STARTING, 2.0, true, null],
    'a second entry after a first that spoke' => [STARTING."words\n".STARTING, 3.0, false, null],
    'refused' => [
        LOADING."BdsDxe: failed to load Boot0001 \"UEFI STICK\": Access Denied\n".SHELL, 0.1, false,
        StartSeen::RefusedBySecureBoot,
    ],
    'nothing on it' => [
        "BdsDxe: failed to load Boot0001 \"UEFI STICK\": Not Found\n".SHELL, 0.1, false, StartSeen::NoBootDevice,
    ],
    'no option at all' => ["BdsDxe: No bootable option or device was found.\n", 0.1, false, StartSeen::NoBootDevice],
    'a first stage without its next' => [
        STARTING."Failed to open \\EFI\\BOOT\\next.efi - Not Found\n", 0.1, false, StartSeen::LoaderStopped,
    ],
    'a denial in the shell is not of the medium' => [
        "BdsDxe: failed to load Boot0001: Not Found\n".SHELL.'Access Denied', 0.1, false, StartSeen::NoBootDevice,
    ],
]);

it('judges a start the old way', function (string $printed, float $quiet, bool $moved, ?StartSeen $seen) {
    expect((new StartJudge(EmulatedFirmware::Bios))->seen($printed, $quiet, 0, $moved))->toBe($seen);
})->with([
    'nothing yet' => ['', 60.0, false, null],
    'no device' => ["No bootable device.\n", 0.1, false, StartSeen::NoBootDevice],
    'entered just now' => [ENTERED, 2.0, false, null],
    'entered, and silent' => [ENTERED, 8.0, false, StartSeen::Silent],
    'it draws without a word' => [ENTERED, 8.0, true, StartSeen::CannotTell],
    'a boot sector that says no' => [ENTERED.'This is not a bootable disk.', 0.1, false, StartSeen::LoaderStopped],
    'a loader without its rest' => [
        ENTERED."ISOLINUX 6\nFailed to load ldlinux.c32\n", 0.1, false, StartSeen::LoaderStopped,
    ],
    'a loader that waits' => [ENTERED."ISOLINUX 6\nboot:", 8.0, false, StartSeen::Starts],
    'a loader that waits for a moment only' => [ENTERED."ISOLINUX 6\nboot:", 7.0, false, null],
    'words of a loader that hands over' => [ENTERED.'Loading crew.img...', 8.0, false, StartSeen::Starts],
    'words between the dots' => ["Booting from Hard Disk..CREW\n.", 8.0, false, StartSeen::CannotTell],
    'nothing behind the dots' => ["Booting from Hard Disk...\n\n", 8.0, false, StartSeen::Silent],
    'a second try' => [ENTERED."hmpf\nBooting from ROM...\n", 8.0, false, StartSeen::Silent],
    'words that nobody knows' => [ENTERED.'hmpf', 8.0, false, StartSeen::CannotTell],
    // The firmware's own words: it turns to the next device, or says that there is none.
    'a device that the firmware gives up' => [ENTERED."Boot failed: not a bootable disk\n", 0.1, false, null],
    'the same, on a slow computer' => [ENTERED.'Boot failed: not a bootable disk', 60.0, false, null],
    'a device that cannot be read' => [ENTERED.'Boot failed: could not read the boot disk', 60.0, false, null],
    'given up, and no other' => [
        ENTERED."Boot failed: not a bootable disk\n\nNo bootable device.", 0.1, false, StartSeen::NoBootDevice,
    ],
    'given up, and another entered' => [
        ENTERED."Boot failed: not a bootable disk\n\nBooting from DVD/CD...\nISOLINUX 6\nboot:", 8.0, false,
        StartSeen::Starts,
    ],
    'the same words of a loader' => [
        ENTERED."ISOLINUX 6\nBoot failed: press any key to try again", 0.1, false, StartSeen::LoaderStopped,
    ],
]);

it('takes a medium\'s own word for it, and one that restarts again and again for one that does not start', function (
    EmulatedFirmware $firmware,
) {
    $judge = new StartJudge($firmware, ['THE INSTALLER', 'runs']);
    expect($judge->seen(ENTERED.STARTING.'THE INSTALLER', 0.0, 9))->toBe(StartSeen::Starts)
        ->and($judge->seen('it runs', 0.0))->toBe(StartSeen::Starts)
        ->and($judge->seen(ENTERED.LOADING, 0.0, 2))->toBeNull()
        ->and($judge->seen(ENTERED.LOADING, 0.0, 3))->toBe(StartSeen::LoaderStopped);
})->with(EmulatedFirmware::cases());

it('gives what runs and has a drive to work on time after its last word', function (EmulatedFirmware $firmware) {
    $judge = new StartJudge($firmware, ['THE INSTALLER'], true);
    $printed = ENTERED.STARTING.'THE INSTALLER';
    expect($judge->seen($printed, 0.0))->toBeNull()
        ->and($judge->seen($printed, 5.9))->toBeNull()
        ->and($judge->seen($printed, 6.0))->toBe(StartSeen::Starts)
        ->and($judge->restarted($printed))->toBe(StartSeen::Starts)
        ->and($judge->restarted(''))->toBe(StartSeen::CannotTell);
})->with(EmulatedFirmware::cases());

it('gives an emulated machine memory and a drive like the job\'s, within what a bench lends', function (
    array $of,
    int $mib,
    ?int $drive,
    DriveBus $bus,
) {
    $parts = EmulatedParts::like(...$of);
    expect([$parts->lentMib, $parts->driveBytes, $parts->bus, $parts->memory])->toBe([$mib, $drive, $bus, $of[0]]);
})->with([
    [[null, null, null], 512, null, DriveBus::Sata],
    [[8_589_934_592, 512_110_190_592, 'nvme'], 1024, 512_110_190_592, DriveBus::Nvme],
    [[1_073_741_824, 64_000_000_000, 'mmc'], 1024, 64_000_000_000, DriveBus::Sata],
    [[805_306_368, null, 'ata'], 768, null, DriveBus::Sata],
    [[134_217_728, null, null], 256, null, DriveBus::Sata],
]);

it('names how a drive is attached', function () {
    expect(array_map(fn (DriveBus $bus): string => $bus->title(), DriveBus::cases()))->toBe(['NVMe', 'SATA']);
});

it('says every end in a sentence', function (StartSeen $seen) {
    expect($seen->title())->toEndWith('.')->and(strlen($seen->title()))->toBeGreaterThan(15);
})->with(StartSeen::cases());

it('knows the words of a loader that gives up, whichever way it was started', function (string $says) {
    $old = new StartJudge(EmulatedFirmware::Bios);
    $uefi = new StartJudge(EmulatedFirmware::Uefi);
    expect($old->seen(ENTERED."words\n{$says}", 0.1))->toBe(StartSeen::LoaderStopped)
        ->and($uefi->seen(STARTING."words\n{$says}\n", 0.1))->toBe(StartSeen::LoaderStopped)
        // What the firmware's own shell says afterwards is not the medium's.
        ->and($uefi->seen(LOADING.SHELL.$says, 0.1))->toBe(StartSeen::NoBootDevice);
})->with([
    'Failed to open \\EFI\\BOOT\\x.efi', 'Failed to load image', 'Verification failed: (0x1A)', 'Security Violation',
    'start_image() returned Not Found', 'Could not read file x', 'grub rescue>', 'error: no such device',
    'Boot error', 'Disk error', 'not a bootable disk', 'Missing operating system',
    'No DEFAULT or UI configuration directive found!', 'Failed to load ldlinux.c32',
    'Could not find kernel image: linux', 'press any key to try again',
]);

it('takes a machine that restarts three times for one that does not start', function () {
    $judge = new StartJudge(EmulatedFirmware::Uefi);
    expect($judge->seen(STARTING, 0.1, 2))->toBeNull()
        ->and($judge->seen(STARTING, 0.1, 3))->toBe(StartSeen::LoaderStopped);
});

it('gives what works on a drive time after its last word', function () {
    $judge = new StartJudge(EmulatedFirmware::Uefi, ['Crew installer'], true);
    $first = new StartJudge(EmulatedFirmware::Uefi, ['Crew installer']);
    expect($judge->seen('Crew installer', 5.9))->toBeNull()
        ->and($judge->seen('Crew installer', 6.0))->toBe(StartSeen::Starts)
        ->and($first->seen('Crew installer', 0.0))->toBe(StartSeen::Starts);
});
