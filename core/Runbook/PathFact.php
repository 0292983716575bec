<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** Names of what holds along a path, and how a person says them. */
final class PathFact
{
    public const TAKEN_IN = 'job.taken-in';

    public const OWNER_AGREED = 'owner.agreed';

    public const MACHINE_IDENTIFIED = 'machine.identified';

    public const BACKUP_COPIED = 'backup.copied';

    public const BACKUP_SETTLED = 'backup.settled';

    public const BACKUP_DETACHED = 'backup.detached';

    public const SHUT_DOWN = 'old-system.shut-down';

    public const ENCRYPTION_SETTLED = 'encryption.settled';

    public const GATHERED = 'tools.gathered';

    public const IMAGE_PROVEN = 'image.proven';

    public const DRIVERS_FETCHED = 'drivers.fetched';

    public const STICK_IDENTIFIED = 'stick.identified';

    public const STICK_WRITTEN = 'stick.written';

    public const STICK_PROVEN = 'stick.proven';

    public const ANSWERS_PLACED = 'answers.placed';

    public const POWER_SAFE = 'power.safe';

    public const DRIVES_DETACHED = 'drives.detached';

    public const FIRMWARE_RECORDED = 'firmware.recorded';

    public const FIRMWARE_READY = 'firmware.ready';

    public const MEDIUM_STARTED = 'medium.started';

    public const TRIED_LIVE = 'installer.tried-live';

    public const PAGES_ANSWERED = 'installer.answered';

    public const TARGET_NAMED = 'target.named';

    public const TARGET_ERASED = 'target.erased';

    public const SYSTEM_COPIED = 'system.copied';

    public const SYSTEM_INSTALLED = 'system.installed';

    public const STICK_OUT = 'stick.out';

    public const STICK_IN_AGAIN = 'stick.in-again';

    public const FIRST_BOOT_DONE = 'first-boot.done';

    public const ONLINE = 'network.online';

    public const UPDATED = 'system.updated';

    public const DRIVERS_COMPLETE = 'drivers.complete';

    public const ACTIVATED = 'system.activated';

    public const PROVEN = 'system.proven';

    public const STAYS_SIGNED = 'put-back.signed';

    public const HANDED_OVER = 'job.handed-over';

    public const BYPASS_RECORDED = 'route.bypass-recorded';

    public const KEY_IN_HAND = 'encryption.key-in-hand';

    public const NEW_KEY_KEPT = 'encryption.new-key-kept';

    public const DECRYPTED = 'encryption.decrypted';

    public const EXTRAS_RECORDED = 'owner.extras-recorded';

    public const ACCOUNT_OUT = 'owner.account-out';

    public const POWERED_ONCE = 'hardware.powered-once';

    public const PART_FITTED = 'hardware.part-fitted';

    public const PART_SEEN = 'hardware.part-seen';

    public const SOURCES_TRIED = 'system.sources-tried';

    public const PROGRAMS_READY = 'system.programs';

    public const SAFE_MODE = 'system.safe-mode';

    public const OLD_DRIVER_GONE = 'drivers.old-gone';

    public const OFFLINE = 'network.off';

    public const CARD_DRIVEN = 'drivers.card-driven';

    public const CASE_CLOSED = 'hardware.closed';

    public const FIRMWARE_FETCHED = 'firmware.fetched';

    public const RECOVERY_WAY = 'firmware.way-back';

    public const FIRMWARE_UPDATED = 'firmware.updated';

    public const SETTINGS_BACK = 'firmware.settings-back';

    public const HELPER_READY = 'helper.ready';

    public const RECOVERY_STARTED = 'recovery.started';

    public const REPAIR_DONE = 'route.done';

    public const SHELVED = 'media.shelved';

    private const WORDS = [
        self::TAKEN_IN => 'the machine is taken in',
        self::OWNER_AGREED => 'the owner has agreed to what will be lost',
        self::MACHINE_IDENTIFIED => 'model, suffix and port count are confirmed at the machine',
        self::BACKUP_COPIED => 'the backup is copied',
        self::BACKUP_SETTLED => 'the backup is verified or waived in writing',
        self::STICK_IN_AGAIN => 'the stick with the drivers is in again',
        self::TRIED_LIVE => 'it was tried from the stick',
        self::PAGES_ANSWERED => 'the installer stands before its page of drives',
        self::ANSWERS_PLACED => 'the answer file is on the stick',
        self::BACKUP_DETACHED => 'the backup drive is detached',
        self::SHUT_DOWN => 'the old system is fully shut down',
        self::ENCRYPTION_SETTLED => 'drive encryption is settled',
        self::GATHERED => 'everything needed lies on the bench',
        self::IMAGE_PROVEN => 'the image is checked',
        self::DRIVERS_FETCHED => 'the drivers for the way are fetched',
        self::STICK_IDENTIFIED => 'the right stick is identified',
        self::STICK_WRITTEN => 'the stick is written',
        self::STICK_PROVEN => 'the stick is read back and equal',
        self::POWER_SAFE => 'power lasts for the whole install',
        self::DRIVES_DETACHED => 'the other drives are detached',
        self::FIRMWARE_RECORDED => 'the firmware settings are recorded',
        self::FIRMWARE_READY => 'the firmware is set',
        self::MEDIUM_STARTED => 'the stick has started',
        self::TARGET_NAMED => 'the target drive is found by its serial',
        self::TARGET_ERASED => 'the target drive is confirmed and erased',
        self::SYSTEM_COPIED => 'the system is copied',
        self::SYSTEM_INSTALLED => 'the system has started from its drive',
        self::STICK_OUT => 'the stick is out',
        self::FIRST_BOOT_DONE => 'the first questions are answered',
        self::ONLINE => 'the machine is online',
        self::UPDATED => 'the system is up to date',
        self::DRIVERS_COMPLETE => 'every device has its driver',
        self::ACTIVATED => 'the system is activated',
        self::PROVEN => 'the readings are proven',
        self::STAYS_SIGNED => 'what stays changed is signed',
        self::HANDED_OVER => 'the machine is handed over',
        self::BYPASS_RECORDED => 'the bypass is recorded',
        self::KEY_IN_HAND => 'the recovery key is in hand',
        self::NEW_KEY_KEPT => 'the new recovery key is kept by the owner',
        self::DECRYPTED => 'the drive is decrypted to 100 %',
        self::EXTRAS_RECORDED => 'what comes from elsewhere is recorded',
        self::ACCOUNT_OUT => 'the owner is signed out of the account lock',
        self::POWERED_ONCE => 'the new build has started once',
        self::PART_FITTED => 'the new part is fitted',
        self::PART_SEEN => 'the new part was seen in the setup',
        self::SOURCES_TRIED => 'the software sources were tried',
        self::PROGRAMS_READY => 'the programs are set up',
        self::SAFE_MODE => 'the old system runs in its safe mode',
        self::OFFLINE => 'the network is off',
        self::CARD_DRIVEN => 'the new card\'s driver is installed',
        self::OLD_DRIVER_GONE => 'the old card\'s driver is removed',
        self::CASE_CLOSED => 'the case is closed, screws out are in',
        self::FIRMWARE_FETCHED => 'the firmware file lies on its stick',
        self::RECOVERY_WAY => 'the way back after a cut-short write is known, or its absence signed',
        self::FIRMWARE_UPDATED => 'the firmware is updated',
        self::SETTINGS_BACK => 'the recorded settings are entered again',
        self::HELPER_READY => 'the helper machine is ready',
        self::RECOVERY_STARTED => 'the machine is in its recovery mode',
        self::REPAIR_DONE => 'the repair has run through',
        self::SHELVED => 'the stick is labelled and shelved',
    ];

    /** The fact that one driver package is installed. */
    public static function driver(string $package): string
    {
        return "driver.{$package}";
    }

    /** The fact that the file with exactly these answers is on the stick. */
    public static function answersPlaced(string $mark): string
    {
        return self::ANSWERS_PLACED.($mark === '' ? '' : ".{$mark}");
    }

    /** The fact that one put-back entry is closed. */
    public static function putBack(string $entry): string
    {
        return "put-back.{$entry}";
    }

    /** The fact that an open question is answered; it holds once the path is computed without it. */
    public static function answered(string $question): string
    {
        return "answered.{$question}";
    }

    /** The fact that a blocker is gone; it holds once the path is computed without it, or with its written waiver. */
    public static function cleared(string $blocker): string
    {
        return "cleared.{$blocker}";
    }

    /** Whether only an answer, a reading or a waiver brings it about, and no step. */
    public static function isAnswer(string $fact): bool
    {
        return str_starts_with($fact, 'answered.') || str_starts_with($fact, 'cleared.');
    }

    /** "the backup is verified or waived": for refusals and gates. */
    public static function spoken(string $fact): string
    {
        return self::WORDS[$fact] ?? self::bySort($fact);
    }

    private static function bySort(string $fact): string
    {
        return match (true) {
            str_starts_with($fact, 'driver.') => 'driver package '.substr($fact, 7).' is installed',
            str_starts_with(
                $fact,
                'answered.rehearsal-',
            ) => 'the failure that the rehearsal predicts is settled or overruled',
            str_starts_with($fact, 'cleared.') => 'what stops it is settled',
            self::isAnswer($fact) => 'an open question of this job is answered',
            str_starts_with($fact, self::ANSWERS_PLACED) => self::WORDS[self::ANSWERS_PLACED],
            str_starts_with($fact, 'put-back.') => 'put back: '.str_replace('-', ' ', substr($fact, 9)),
            default => str_replace(['.', '-'], ' ', $fact),
        };
    }
}
