<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Firmware\Setting;
use Cobblestone\Firmware\SettingsEvidence;
use Cobblestone\Firmware\WayIn;
use Cobblestone\Job\JobContext;
use Cobblestone\Machine\Model\Release;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/** After the update: the version is read and the settings that were recorded are entered again (rules F3, F5). */
final class FirmwareReEntry
{
    private const ENTER = [
        'Enter what was recorded: controller mode, boot mode and security chip first, in the same visit, before the '
            .'old system is started.',
        'Then memory profile and the rest. Save.',
        'Sign-in by the security chip may have to be set up again.',
    ];

    private const DONE = 'The settings that were recorded before were entered again.';

    /**
     * @param  list<Release>  $stops
     * @return list<Step>
     */
    public static function after(JobContext $context, array $stops): array
    {
        $version = $stops === [] ? null : $stops[count($stops) - 1]->version;

        return [
            new Step(
                'firmware.re-enter',
                Stage::FirmwareUpdate,
                'Enter the settings again',
                Presence::Hands,
                Estimate::minutes(3, 6, 15),
                [...WayIn::setup($context->machine)->instructions('the setup'), ...self::ENTER],
                before: [PathFact::FIRMWARE_UPDATED, PathFact::FIRMWARE_RECORDED],
                after: [PathFact::SETTINGS_BACK],
                needs: ['hands', 'slot'],
                done: DoneWords::in(SheetPart::Firmware, self::DONE),
                acts: [Act::ChangeSettings],
                because: [self::because($version ?? 'the new version')],
                evidence: [self::versionShown($version), ...SettingsEvidence::asRecorded($context->machine)],
                rows: self::reEntered($context),
                boots: [BootEvent::change(['defaults' => 'put back']), BootEvent::start(Wants::System)],
                opensWith: Wants::Setup,
            ),
        ];
    }

    private static function because(string $version): Reason
    {
        $words = "The update to {$version} set them to their defaults; "
            .'a kept system does not start with another controller mode.';

        return new Reason($words, 'F3, F5');
    }

    /** @param  string|null  $expected  null where the catalogue does not know what will be shown */
    public static function versionShown(?string $expected): Evidence
    {
        return new Evidence(
            'version',
            'Firmware version that the setup shows',
            EvidenceKind::Text,
            expected: $expected === null ? null : new Expected($expected),
            remedy: 'Write this stop again, or stop and look which file was written: no further version goes over it.',
        );
    }

    /**
     * What is entered again, in the order of one visit: what was recorded, else what the catalogue assumes.
     *
     * @return list<array<string, string>>
     */
    private static function reEntered(JobContext $context): array
    {
        $settings = Setting::ofMachine($context->machine);
        usort($settings, static fn (Setting $a, Setting $b): int => $a->rank() <=> $b->rank());

        return array_map(static function (Setting $setting) use ($context): array {
            $was = $context->machine->fact("firmware.{$setting->id}");

            return [
                'where' => "{$setting->place} › {$setting->title}",
                'after the update' => $setting->default ?? 'its default',
                'becomes' => $was->isKnown() ? $was->spoken() : 'as recorded',
            ];
        }, $settings);
    }
}
