<?php

declare(strict_types=1);

namespace Cobblestone\Job;

/** Names of facts that some rule reads; another name under a brief's facts is listed, never silently taken (rule A1). */
final class KnownFacts
{
    private const NAMES = [
        'architecture', 'board.name', 'board.revision', 'board.serial', 'battery.design_wh', 'battery.health', 'battery.percent', 'boot.started_by', 'card.leads', 'card.processor_w',
        'card.supply_w', 'card.watts', 'charger.at_hand', 'charger.watts', 'channel.other', 'clock_mhz', 'cores', 'display.pixels', 'drive.encryption', 'drive.free_bytes', 'drive.grade',
        'drive_bytes', 'decrypt.bytes', 'decrypt.mb_s', 'decrypt.percent', 'encryption.binding', 'encryption.key', 'factory.image', 'fallback.entry', 'fit', 'graphics.features', 'graphics.uefi_picture', 'hub.at_hand', 'image.expanded_bytes',
        'image.kind', 'image.matches', 'licence.edition', 'licence.firmware_edition', 'licence.kind', 'machine.kind', 'machine.maker', 'machine.managed', 'machine.name', 'machine.serial',
        'machine.cards', 'memory.max_bytes', 'memory.pool_size', 'memory.slots', 'memory.trusted', 'memory.verdict', 'memory_bytes', 'network.driver', 'network.works', 'old_system.starts',
        'owner.keep', 'owner.lock', 'power.load_w', 'present.build', 'present.build_reaches', 'present.edition', 'present.language', 'present.system', 'processor', 'recovery.environment',
        'restore.point', 'security_chip.version', 'sockets', 'stick.refused', 'swap.bytes', 'swap.drive', 'swap.path', 'swap.serial', 'symptom.picture', 'symptom.powers_up', 'symptom.since',
        'symptom.starts', 'system.loader', 'target.bytes', 'target.drive', 'target.path', 'target.serial', 'threads', 'tried', 'ups.usable_wh', 'wish.original', 'hardware.suspect',
    ];

    /** Settings of a firmware, choices between needs, symptoms of the catalogue: named by the catalogue. */
    private const FAMILIES = ['firmware.', 'choice.', 'symptom.', 'loader.', 'legacy.', 'system.', 'memory.', 'machine.'];

    public static function isKnown(string $name): bool
    {
        if (in_array($name, self::NAMES, true)) {
            return true;
        }
        foreach (self::FAMILIES as $family) {
            if (str_starts_with($name, $family)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array<string, mixed>  $machine  the brief's machine block
     * @return list<string> a note for each name that no rule reads
     */
    public static function notUnderstood(array $machine): array
    {
        $notes = [];
        foreach (array_keys([...($machine['facts'] ?? []), ...($machine['settled'] ?? [])]) as $name) {
            if (! self::isKnown((string) $name)) {
                $like = self::nearest((string) $name);
                $notes[] = "\"{$name}\" is not understood: no rule reads a fact of this name".($like === null ? '.' : "; did you mean \"{$like}\"?");
            }
        }

        return $notes;
    }

    private static function nearest(string $name): ?string
    {
        $best = null;
        $least = 4;
        foreach (self::NAMES as $known) {
            $away = levenshtein($name, $known);
            if ($away < $least) {
                [$best, $least] = [$known, $away];
            }
        }

        return $best;
    }
}
