<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Firmware\ReleasePath;
use Cobblestone\Machine\Model\FirmwareSetting;
use Cobblestone\Machine\Model\MachineModel;
use Cobblestone\Machine\Model\ObservedStart;
use Cobblestone\Machine\Model\Release;
use Cobblestone\Machine\Port;
use Cobblestone\Runbook\Wants;

/**
 * What a schema cannot see in a machine's file: settings that name each other wrongly, releases nothing leads to
 * (rules F2, F5).
 */
final class MachineFaults
{
    /** @return list<string> each "field: what is wrong" */
    public static function of(MachineModel $model): array
    {
        $firmware = $model->firmware;

        return [
            ...self::settings($model->settings()),
            ...self::releases($firmware->releases ?? []),
            ...self::quirks($firmware->quirks ?? []),
            ...self::recovery($model),
        ];
    }

    /**
     * @param  list<FirmwareSetting>  $settings
     * @return list<string>
     */
    private static function settings(array $settings): array
    {
        $faults = $known = [];
        foreach ($settings as $setting) {
            $known[$setting->id] = $setting;
        }
        foreach ($settings as $index => $setting) {
            $at = "firmware.settings.{$index}";
            if (! in_array($setting->default, $setting->values, true)) {
                $faults[] =
                    "{$at}.default: \"{$setting->default}\" is none of the values ".
                    implode(', ', $setting->values).
                    '.';
            }
            foreach ($setting->requires as $other => $value) {
                if (! isset($known[$other])) {
                    $faults[] = "{$at}.requires: this model has no setting \"{$other}\".";
                } elseif (! in_array($value, $known[$other]->values, true)) {
                    $values = implode(', ', $known[$other]->values);
                    $faults[] = "{$at}.requires.{$other}: \"{$value}\" is none of its values {$values}.";
                }
            }
            $loop = self::loop($setting->id, $known, []);
            if ($loop !== null && $loop[0] === $setting->id) {
                $faults[] = "{$at}.requires: settings require each other in a loop: ".implode(' → ', $loop).'.';
            }
        }
        foreach (self::twice(array_map(static fn (FirmwareSetting $one): string => $one->id, $settings)) as $id) {
            $faults[] = "firmware.settings: \"{$id}\" stands there twice.";
        }

        return $faults;
    }

    /**
     * @param  list<string>  $names
     * @return list<string>
     */
    private static function twice(array $names): array
    {
        return array_values(array_unique(array_diff_assoc($names, array_unique($names))));
    }

    /**
     * @param  array<string, FirmwareSetting>  $known
     * @param  list<string>  $chain
     * @return list<string>|null the loop, its first setting again at the end
     */
    private static function loop(string $id, array $known, array $chain): ?array
    {
        if (in_array($id, $chain, true)) {
            return [...array_slice($chain, (int) array_search($id, $chain, true)), $id];
        }
        foreach (array_keys(($known[$id] ?? null)->requires ?? []) as $other) {
            $loop = self::loop((string) $other, $known, [...$chain, $id]);
            if ($loop !== null) {
                return $loop;
            }
        }

        return null;
    }

    /**
     * @param  list<Release>  $releases
     * @return list<string>
     */
    private static function releases(array $releases): array
    {
        $faults = [];
        $versions = array_map(static fn (Release $release): string => $release->version, $releases);
        usort($versions, static fn (string $a, string $b): int => version_compare($a, $b));
        foreach ($releases as $index => $release) {
            $at = "firmware.releases.{$index}.from";
            if ($release->from === null) {
                continue;
            }
            if (version_compare($release->from, $release->version, '>=')) {
                $faults[] = "{$at}: {$release->version} cannot be written over {$release->from}, which is not older.";
            } elseif (
                version_compare($release->from, $versions[0], '>') &&
                ReleasePath::shortest($releases, $versions[0], $release->version) === null
            ) {
                $faults[] = "{$at}: no release leads to {$release->from} or newer, so nothing leads to "
                    ."{$release->version}.";
            }
        }
        foreach (self::twice($versions) as $version) {
            $faults[] = "firmware.releases: {$version} stands there twice.";
        }

        return $faults;
    }

    /**
     * @param  list<ObservedStart>  $quirks
     * @return list<string>
     */
    private static function quirks(array $quirks): array
    {
        $faults = [];
        foreach ($quirks as $index => $quirk) {
            foreach (['predicted' => $quirk->predicted, 'seen' => $quirk->seen] as $field => $value) {
                if (Outcome::tryFrom($value) === null) {
                    $known = implode(', ', array_column(Outcome::cases(), 'value'));
                    $faults[] = "firmware.quirks.{$index}.{$field}: \"{$value}\" is none of {$known}.";
                }
            }
            if (Wants::tryFrom($quirk->wants) === null) {
                $known = implode(', ', array_column(Wants::cases(), 'value'));
                $faults[] = "firmware.quirks.{$index}.wants: \"{$quirk->wants}\" is none of {$known}.";
            }
        }

        return $faults;
    }

    /** @return list<string> */
    private static function recovery(MachineModel $model): array
    {
        $faults = $held = [];
        foreach ($model->recovery->sequence ?? [] as $index => $move) {
            if ($move->release !== null && ! in_array($move->release, $held, true)) {
                $faults[] = "recovery.sequence.{$index}.release: \"{$move->release}\" is let go before anything "
                    .'took hold of it.';
            }
            $held = array_values(
                array_diff([...$held, ...array_filter([$move->hold], is_string(...))], [$move->release]),
            );
        }
        $port = $model->recovery?->portId;
        if (
            $port !== null &&
            ! in_array($port, array_map(static fn (Port $one): string => $one->id, $model->ports), true)
        ) {
            $faults[] = "recovery.port_id: there is no port \"{$port}\".";
        }

        return $faults;
    }
}
