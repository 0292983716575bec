<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** Facts of a path as people say them. */
final class FactWords
{
    private const WORDS = [
        PathFact::TAKEN_IN => 'the machine is taken in',
        PathFact::OWNER_AGREED => 'the owner has agreed to what will be lost',
        PathFact::MACHINE_IDENTIFIED => 'model, suffix and port count are confirmed at the machine',
        PathFact::BACKUP_COPIED => 'the backup is copied',
        PathFact::BACKUP_SETTLED => 'the backup is verified or waived in writing',
        PathFact::FILES_BACK => 'the owner\'s files are back on the machine',
        PathFact::FILES_HOME => 'the owner\'s files are counted home',
        PathFact::STICK_IN_AGAIN => 'the stick with the drivers is in again',
        PathFact::TRIED_LIVE => 'it was tried from the stick',
        PathFact::PAGES_ANSWERED => 'the installer stands before its page of drives',
        PathFact::ANSWERS_PLACED => 'the answer file is on the stick',
        PathFact::BACKUP_DETACHED => 'the backup drive is detached',
        PathFact::SHUT_DOWN => 'the old system is fully shut down',
        PathFact::ENCRYPTION_SETTLED => 'drive encryption is settled',
        PathFact::GATHERED => 'everything needed lies on the bench',
        PathFact::COLLECTING_STICK => 'the collecting stick is made',
        PathFact::COLLECTED => 'the machine was read from the stick',
        PathFact::BUNDLE_BROUGHT => 'what was collected is brought back',
        PathFact::IMAGE_FETCHED => 'the image lies on the shelf',
        PathFact::IMAGE_ACCEPTED => 'somebody has signed for an image that is not the publisher\'s own',
        PathFact::IMAGE_PROVEN => 'the image is checked',
        PathFact::DRIVERS_FETCHED => 'the drivers for the way are fetched',
        PathFact::STICK_IDENTIFIED => 'the right stick is identified',
        PathFact::STICK_WRITTEN => 'the stick is written',
        PathFact::STICK_PROVEN => 'the stick is read back and equal',
        PathFact::POWER_SAFE => 'power lasts for the whole install',
        PathFact::DRIVES_DETACHED => 'the other drives are detached',
        PathFact::FIRMWARE_RECORDED => 'the firmware settings are recorded',
        PathFact::FIRMWARE_READY => 'the firmware is set',
        PathFact::MEDIUM_STARTED => 'the stick has started',
        PathFact::TARGET_NAMED => 'the target drive is found by its serial',
        PathFact::TARGET_ERASED => 'the target drive is confirmed and erased',
        PathFact::SYSTEM_COPIED => 'the system is copied',
        PathFact::SYSTEM_INSTALLED => 'the system has started from its drive',
        PathFact::STICK_OUT => 'the stick is out',
        PathFact::FIRST_BOOT_DONE => 'the first questions are answered',
        PathFact::ONLINE => 'the machine is online',
        PathFact::UPDATED => 'the system is up to date',
        PathFact::DRIVERS_COMPLETE => 'every device has its driver',
        PathFact::ACTIVATED => 'the system is activated',
        PathFact::PROVEN => 'the readings are proven',
        PathFact::STAYS_SIGNED => 'what stays changed is signed',
        PathFact::HANDED_OVER => 'the machine is handed over',
        PathFact::BYPASS_RECORDED => 'the bypass is recorded',
        PathFact::KEY_IN_HAND => 'the recovery key is in hand',
        PathFact::NEW_KEY_KEPT => 'the new recovery key is kept by the owner',
        PathFact::DECRYPTED => 'the drive is decrypted to 100 %',
        PathFact::EXTRAS_RECORDED => 'what comes from elsewhere is recorded',
        PathFact::ACCOUNT_OUT => 'the owner is signed out of the account lock',
        PathFact::POWERED_ONCE => 'the new build has started once',
        PathFact::PART_FITTED => 'the new part is fitted',
        PathFact::PART_SEEN => 'the new part was seen in the setup',
        PathFact::SOURCES_TRIED => 'the software sources were tried',
        PathFact::PROGRAMS_READY => 'the programs are set up',
        PathFact::SAFE_MODE => 'the old system runs in its safe mode',
        PathFact::OFFLINE => 'the network is off',
        PathFact::CARD_DRIVEN => 'the new card\'s driver is installed',
        PathFact::OLD_DRIVER_GONE => 'the old card\'s driver is removed',
        PathFact::CASE_CLOSED => 'the case is closed, screws out are in',
        PathFact::FIRMWARE_FETCHED => 'the firmware file is there, and is the right one',
        PathFact::FIRMWARE_ON_STICK => 'the firmware files stand on their stick',
        PathFact::DRIVER_BY_HAND => 'the network driver lies on a stick',
        PathFact::NETWORK_DRIVEN => 'the network adapter has its driver',
        PathFact::ANSWERS_LISTED => 'the list of answers lies with the stick',
        PathFact::DRIVERS_ON_STICK => 'the drivers stand on their stick',
        PathFact::RECOVERY_WAY => 'the way back after a cut-short write is known, or its absence signed',
        PathFact::FIRMWARE_UPDATED => 'the firmware is updated',
        PathFact::SETTINGS_BACK => 'the recorded settings are entered again',
        PathFact::HELPER_READY => 'the helper machine is ready',
        PathFact::RECOVERY_STARTED => 'the machine is in its recovery mode',
        PathFact::REPAIR_DONE => 'the repair has run through',
        PathFact::SHELVED => 'the stick is labelled and shelved',
    ];

    public static function of(string $fact): string
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
            PathFact::isAnswer($fact) => 'an open question of this job is answered',
            str_starts_with($fact, PathFact::ANSWERS_PLACED) => self::WORDS[PathFact::ANSWERS_PLACED],
            str_starts_with($fact, 'put-back.') => 'put back: '.str_replace('-', ' ', substr($fact, 9)),
            default => str_replace(['.', '-'], ' ', $fact),
        };
    }
}
