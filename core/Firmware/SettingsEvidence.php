<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;

/**
 * The settings of a machine as they are read from its setup: recorded one by one, and read again afterwards (rules
 * F2, F3, K3).
 */
final class SettingsEvidence
{
    /** A setting that this firmware does not show. */
    public const ABSENT = 'not there';

    /** Step that records them. */
    public const STEP = 'firmware.snapshot';

    /**
     * What is recorded: each setting with its value, which is then a fact of the machine.
     *
     * @param  list<Setting>  $besides  settings that the plan changes though nobody has described the model
     * @return list<Evidence>
     */
    public static function recorded(Machine $machine, array $besides = []): array
    {
        $evidence = array_map(
            static fn (Setting $setting): Evidence => self::reading($setting, "firmware.{$setting->id}"),
            self::settings($machine, $besides),
        );
        if (Setting::ofMachine($machine) === []) {
            $evidence[] = new Evidence(
                'settings',
                'What the other pages show, or where the photo of each page lies',
                EvidenceKind::Text,
            );
        }

        return $evidence;
    }

    /**
     * What is read once they are entered again: each as it was recorded.
     *
     * @return list<Evidence>
     */
    public static function asRecorded(Machine $machine): array
    {
        return array_map(self::again(...), self::settings($machine, []));
    }

    /** One that was changed for the job and is put back: as it was recorded (rule J4). */
    public static function putBack(Machine $machine, string $setting): Evidence
    {
        foreach (Setting::ofMachine($machine) as $one) {
            if ($one->id === $setting) {
                return self::again($one);
            }
        }

        return self::again(Setting::usual($setting));
    }

    private static function again(Setting $setting): Evidence
    {
        $reading = self::reading($setting, '');

        return new Evidence(
            $reading->id,
            $reading->label,
            $reading->kind,
            $reading->options,
            $reading->hint,
            expected: Expected::asIn(self::STEP, $reading->id),
            overruledBy: ['lead'],
            remedy: 'Enter it again as it was recorded.',
        );
    }

    /**
     * @param  list<Setting>  $besides
     * @return list<Setting> in the order of one visit
     */
    private static function settings(Machine $machine, array $besides): array
    {
        $settings = [];
        foreach ([...Setting::ofMachine($machine), ...$besides] as $setting) {
            $settings[$setting->id] ??= $setting;
        }
        usort($settings, static fn (Setting $a, Setting $b): int => $a->rank() <=> $b->rank());

        return $settings;
    }

    private static function reading(Setting $setting, string $fact): Evidence
    {
        $values = $setting->values === [] ? Setting::usual($setting->id)->values : $setting->values;

        return new Evidence(
            "set_{$setting->id}",
            $setting->title,
            EvidenceKind::Choice,
            [...array_combine($values, $values), self::ABSENT => 'it is not there'],
            $setting->place,
            fact: $fact,
        );
    }
}
