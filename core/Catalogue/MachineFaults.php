<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Boot\Outcome;
use Cobblestone\Firmware\ReleasePath;
use Cobblestone\Runbook\Wants;

/** What a schema cannot see in a machine's file: settings that name each other wrongly, releases nothing leads to (rules F2, F5). */
final class MachineFaults
{
    /**
     * @param  array<string, mixed>  $machine  a document that the machines schema accepts
     * @return list<string> each "field: what is wrong"
     */
    public static function of(array $machine): array
    {
        $firmware = $machine['firmware'] ?? [];

        return [...self::settings($firmware['settings'] ?? []), ...self::releases($firmware['releases'] ?? []), ...self::quirks($firmware['quirks'] ?? []), ...self::recovery($machine)];
    }

    /**
     * @param  list<array<string, mixed>>  $settings
     * @return list<string>
     */
    private static function settings(array $settings): array
    {
        $faults = [];
        $known = array_column($settings, null, 'id');
        foreach ($settings as $index => $setting) {
            $at = "firmware.settings.{$index}";
            if (! in_array($setting['default'], $setting['values'], true)) {
                $faults[] = "{$at}.default: \"{$setting['default']}\" is none of the values ".implode(', ', $setting['values']).'.';
            }
            foreach ($setting['requires'] ?? [] as $other => $value) {
                if (! isset($known[$other])) {
                    $faults[] = "{$at}.requires: this model has no setting \"{$other}\".";
                } elseif (! in_array($value, $known[$other]['values'], true)) {
                    $faults[] = "{$at}.requires.{$other}: \"{$value}\" is none of its values ".implode(', ', $known[$other]['values']).'.';
                }
            }
            $loop = self::loop($setting['id'], $known, []);
            if ($loop !== null && $loop[0] === $setting['id']) {
                $faults[] = "{$at}.requires: settings require each other in a loop: ".implode(' → ', $loop).'.';
            }
        }
        $ids = array_column($settings, 'id');
        foreach (array_unique(array_diff_assoc($ids, array_unique($ids))) as $twice) {
            $faults[] = "firmware.settings: \"{$twice}\" stands there twice.";
        }

        return $faults;
    }

    /**
     * @param  array<string, array<string, mixed>>  $known
     * @param  list<string>  $chain
     * @return list<string>|null the loop, its first setting again at the end
     */
    private static function loop(string $id, array $known, array $chain): ?array
    {
        if (in_array($id, $chain, true)) {
            return [...array_slice($chain, (int) array_search($id, $chain, true)), $id];
        }
        foreach (array_keys($known[$id]['requires'] ?? []) as $other) {
            $loop = self::loop((string) $other, $known, [...$chain, $id]);
            if ($loop !== null) {
                return $loop;
            }
        }

        return null;
    }

    /**
     * @param  list<array<string, mixed>>  $releases
     * @return list<string>
     */
    private static function releases(array $releases): array
    {
        $faults = [];
        $versions = array_column($releases, 'version');
        usort($versions, version_compare(...));
        foreach ($releases as $index => $release) {
            if (isset($release['from']) && version_compare($release['from'], $release['version'], '>=')) {
                $faults[] = "firmware.releases.{$index}.from: {$release['version']} cannot be written over {$release['from']}, which is not older.";
            } elseif (isset($release['from']) && version_compare($release['from'], $versions[0], '>') && ReleasePath::shortest($releases, $versions[0], $release['version']) === null) {
                $faults[] = "firmware.releases.{$index}.from: no release leads to {$release['from']} or newer, so nothing leads to {$release['version']}.";
            }
        }
        foreach (array_unique(array_diff_assoc($versions, array_unique($versions))) as $twice) {
            $faults[] = "firmware.releases: {$twice} stands there twice.";
        }

        return $faults;
    }

    /**
     * @param  list<array<string, mixed>>  $quirks
     * @return list<string>
     */
    private static function quirks(array $quirks): array
    {
        $faults = [];
        foreach ($quirks as $index => $quirk) {
            foreach (['predicted', 'seen'] as $field) {
                if (Outcome::tryFrom($quirk[$field]) === null) {
                    $faults[] = "firmware.quirks.{$index}.{$field}: \"{$quirk[$field]}\" is none of ".implode(', ', array_column(Outcome::cases(), 'value')).'.';
                }
            }
            if (Wants::tryFrom($quirk['wants']) === null) {
                $faults[] = "firmware.quirks.{$index}.wants: \"{$quirk['wants']}\" is none of ".implode(', ', array_column(Wants::cases(), 'value')).'.';
            }
        }

        return $faults;
    }

    /**
     * @param  array<string, mixed>  $machine
     * @return list<string>
     */
    private static function recovery(array $machine): array
    {
        $faults = [];
        $held = [];
        foreach ($machine['recovery']['sequence'] ?? [] as $index => $move) {
            if (isset($move['release']) && ! in_array($move['release'], $held, true)) {
                $faults[] = "recovery.sequence.{$index}.release: \"{$move['release']}\" is let go before anything took hold of it.";
            }
            $held = array_values(array_diff([...$held, ...(isset($move['hold']) ? [$move['hold']] : [])], isset($move['release']) ? [$move['release']] : []));
        }
        $ports = array_column($machine['ports'] ?? [], 'id');
        if (isset($machine['recovery']['port_id']) && ! in_array($machine['recovery']['port_id'], $ports, true)) {
            $faults[] = "recovery.port_id: there is no port \"{$machine['recovery']['port_id']}\".";
        }

        return $faults;
    }
}
