<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Firmware\SettingsEvidence;
use Cobblestone\Firmware\WayIn;
use Cobblestone\Job\JobContext;
use Cobblestone\Machine\Model\Release;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/** What lies ready before firmware is written: the way back, the file, the settings as they are (rules F3, F5). */
final class FirmwareReady
{
    /**
     * The way back after a write that was cut short: known, or its absence signed.
     *
     * @return list<Step>
     */
    public static function recoveryWay(JobContext $context): array
    {
        $way = $context->machine->model?->firmware?->recoveryWay;

        return [
            new Step(
                'firmware.way-back',
                Stage::FirmwareUpdate,
                $way === null ? 'No way back: signed' : 'The way back',
                Presence::Hands,
                Estimate::minutes(0.5, 1, 4),
                $way === null
                    ? [
                        'No way is known to bring this board back after a write that was cut short.',
                        'Tell the owner that it could stay dead, and have them sign, or find the way in the board\'s '
                            .'sheet first.',
                    ]
                    : ["After a write that was cut short: {$way}.", 'Lay ready what that takes.'],
                before: [PathFact::TAKEN_IN], after: [PathFact::RECOVERY_WAY], needs: ['hands'],
                because: [
                    new Reason(
                        $way === null
                            ? 'A board without a way back is risked only with the owner\'s word.'
                            : 'It is looked up while the machine still starts.',
                        'F5',
                        $context->machine->title,
                    ),
                ],
                evidence: $way === null ? [new Evidence('no_way_back_signed', 'Signed by', EvidenceKind::Person)] : [],
            )];
    }

    /**
     * @param  list<Release>  $stops
     * @return list<Step>
     */
    public static function fetchAndRecord(JobContext $context, array $stops, ?FirmwareStick $stick): array
    {
        $files = $stops === []
            ? ['The file for exactly this board and revision.']
            : array_map(static fn (Release $stop): string => "`{$stop->file}` for {$stop->version}.", $stops);

        return [
            new Step(
                'firmware.fetch',
                Stage::FirmwareUpdate,
                'Firmware file',
                Presence::Hands,
                Estimate::minutes(3, 6, 20),
                [
                    'Compare board name and revision on the board with the file: another revision is another board.',
                    ...$files,
                    ...self::onStick($context, $stick),
                ],
                before: [PathFact::MACHINE_IDENTIFIED, PathFact::GATHERED],
                after: [PathFact::FIRMWARE_FETCHED],
                needs: $stick === null ? ['hands', 'stick'] : ['hands', 'bench computer'],
                because: [
                    new Reason(
                        'A file for another revision can leave the board dead.',
                        'F5',
                        $context->machine->fact('board.name')->spoken().' '
                            .$context->machine->fact('board.revision')->spoken(),
                    ),
                ],
            ),
            ...$stick === null ? [] : [$stick->step()],
            self::snapshot($context),
        ];
    }

    private static function snapshot(JobContext $context): Step
    {
        return new Step(
            'firmware.snapshot',
            Stage::FirmwareUpdate,
            'Record settings',
            Presence::Hands,
            Estimate::minutes(3, 6, 15),
            [
                ...WayIn::setup($context->machine)->instructions('the setup'),
                'Photograph or note every page: the update sets them back to their defaults.',
            ],
            before: [PathFact::SHUT_DOWN], after: [PathFact::FIRMWARE_RECORDED], needs: ['hands', 'slot'],
            because: [new Reason('What was set is entered again afterwards.', 'F3, F5')],
            evidence: SettingsEvidence::recorded($context->machine),
            boots: [BootEvent::start(Wants::Setup, BootEvent::BY_KEY)],
            opensWith: Wants::Setup,
        );
    }

    /** @return list<string> */
    private static function onStick(JobContext $context, ?FirmwareStick $stick): array
    {
        if ($stick !== null) {
            return ['Compare each checksum with the maker\'s.'];
        }
        $there = $context->brief->update?->onStick;

        return [$there !== null
            ? "`{$there}` lies on a stick already: it must be this file, in the top folder of FAT32; compare its "
                ."checksum with the maker's."
            : 'Put it into the top folder of a FAT32 stick and compare its checksum with the maker\'s.'];
    }
}
