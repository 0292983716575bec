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

    public const COLLECTING_STICK = 'collect.stick-made';

    public const COLLECTED = 'collect.collected';

    public const BUNDLE_BROUGHT = 'collect.brought';

    public const IMAGE_FETCHED = 'image.fetched';

    public const IMAGE_ACCEPTED = 'image.accepted';

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

    /** The owner's files are on the machine again. */
    public const FILES_BACK = 'files.back';

    /** They were counted and compared there. */
    public const FILES_HOME = 'files.home';

    public const CARRIED_OVER = 'data.carried-over';

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

    public const FIRMWARE_ON_STICK = 'firmware.on-stick';

    /** The network driver that no shelf holds lies on a stick. */
    public const DRIVER_BY_HAND = 'drivers.by-hand-carried';

    public const NETWORK_DRIVEN = 'drivers.network-driven';

    /** The list of answers for a first start goes along with a stick. */
    public const ANSWERS_LISTED = 'answers.listed';

    public const DRIVERS_ON_STICK = 'drivers.on-stick';

    public const RECOVERY_WAY = 'firmware.way-back';

    public const FIRMWARE_UPDATED = 'firmware.updated';

    public const SETTINGS_BACK = 'firmware.settings-back';

    public const HELPER_READY = 'helper.ready';

    public const RECOVERY_STARTED = 'recovery.started';

    public const REPAIR_DONE = 'route.done';

    public const SHELVED = 'media.shelved';

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
        return FactWords::of($fact);
    }
}
