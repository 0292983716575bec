<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Brief\MachineBlock;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Machine\Model\FirmwareSetting;

/** Names of facts that some rule reads; another name under a brief's facts is listed, never silently taken (rule A1). */
final class KnownFacts
{
    private const NAMES = [
        'architecture',
        'board.name',
        'board.revision',
        'board.serial',
        'battery.design_wh',
        'battery.health',
        'battery.percent',
        'boot.started_by',
        'card.leads',
        'card.processor_w',
        'card.supply_w',
        'card.watts',
        'charger.at_hand',
        'charger.watts',
        'channel.other',
        'clock_mhz',
        'cores',
        'display.pixels',
        'drive.encryption',
        'drive.free_bytes',
        'drive.grade',
        'drive_bytes',
        'decrypt.bytes',
        'decrypt.mb_s',
        'decrypt.percent',
        'encryption.binding',
        'encryption.key',
        'factory.image',
        'fallback.entry',
        'fit',
        'graphics.features',
        'graphics.uefi_picture',
        'hub.at_hand',
        'image.expanded_bytes',
        'image.kind',
        'image.matches',
        'licence.edition',
        'licence.firmware_edition',
        'licence.kind',
        'machine.kind',
        'machine.maker',
        'machine.managed',
        'machine.name',
        'machine.serial',
        'machine.cards',
        'memory.max_bytes',
        'memory.pool_size',
        'memory.slots',
        'memory.trusted',
        'memory.verdict',
        'memory_bytes',
        'network.driver',
        'network.works',
        'old_system.starts',
        'legacy.code',
        'loader.efi',
        'loader.signature',
        'machine.product',
        'machine.sku',
        'owner.keep',
        'owner.lock',
        'power.load_w',
        'present.build',
        'present.build_reaches',
        'present.edition',
        'present.language',
        'present.system',
        'processor',
        'recovery.environment',
        'restore.point',
        'security_chip.version',
        'sockets',
        'stick.refused',
        'swap.bytes',
        'swap.drive',
        'swap.path',
        'swap.serial',
        'symptom.picture',
        'symptom.powers_up',
        'symptom.since',
        'symptom.starts',
        'system.loader',
        'target.bytes',
        'target.drive',
        'target.path',
        'target.serial',
        'threads',
        'tried',
        'ups.usable_wh',
        'wish.original',
        'hardware.suspect',
    ];

    /** What is known of any firmware, whether a model lists it as a setting or not. */
    private const FIRMWARE = [
        'boot_mode',
        'charge',
        'controller_mode',
        'date',
        'graphics_memory',
        'key_mode',
        'kind',
        'older_devices',
        'power_mode',
        'revocations',
        'secure_boot',
        'secure_boot_capable',
        'secure_boot_in_force',
        'security_chip',
        'supervisor_password',
        'third_party_signer',
        'uefi_capable',
        'usb_start',
        'version',
    ];

    /** @return array<string, true> every name that a rule or an entry of the catalogue reads */
    private static function names(Catalogue $catalogue): array
    {
        $settings = self::FIRMWARE;
        foreach ($catalogue->machines() as $model) {
            array_push(
                $settings,
                ...array_map(static fn (FirmwareSetting $setting): string => $setting->id, $model->settings()),
            );
        }
        $names = self::NAMES;
        foreach ($settings as $setting) {
            array_push($names, "firmware.{$setting}", "choice.{$setting}");
        }
        foreach (['systems', 'routes', 'issues'] as $kind) {
            $entries = $catalogue->all($kind);
            array_walk_recursive($entries, static function (mixed $value, int|string $key) use (&$names): void {
                if ($key === 'fact' && is_string($value)) {
                    $names[] = $value;
                }
            });
        }

        return array_fill_keys($names, true);
    }

    /**
     * @return list<string> a note for each name that no rule reads
     */
    public static function notUnderstood(MachineBlock $machine, Catalogue $catalogue): array
    {
        $given = array_map(strval(...), array_keys([...$machine->facts, ...$machine->settled]));
        $firmware = array_map(static fn (string $setting): string => "firmware.{$setting}", self::FIRMWARE);
        $left = array_diff($given, self::NAMES, $firmware);
        // The catalogue is only gone through for a name that no rule reads.
        [$names, $notes] = [$left === [] ? [] : self::names($catalogue), []];
        foreach ($left as $name) {
            if (! isset($names[$name])) {
                $like = self::nearest($name, array_keys($names));
                $notes[] =
                    "\"{$name}\" is not understood: no rule reads a fact of this name".
                    ($like === null ? '.' : "; did you mean \"{$like}\"?");
            }
        }

        return $notes;
    }

    /** @param  list<string>  $names */
    private static function nearest(string $name, array $names): ?string
    {
        $best = null;
        $least = 4;
        foreach ($names as $known) {
            $away = levenshtein($name, $known);
            if ($away < $least) {
                [$best, $least] = [$known, $away];
            }
        }

        return $best;
    }
}
