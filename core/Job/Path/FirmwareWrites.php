<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Job\JobContext;
use Cobblestone\Job\WhichMachine;
use Cobblestone\Machine\Model\Release;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;

/** One stone for each release that is written, each behind the one before (rule F5). */
final class FirmwareWrites
{
    /**
     * @param  list<Release>  $stops
     * @return list<Step>
     */
    public static function writing(JobContext $context, array $stops, ?FirmwareStick $stick = null): array
    {
        $steps = [];
        $before = [
            PathFact::RECOVERY_WAY, PathFact::FIRMWARE_FETCHED, PathFact::FIRMWARE_RECORDED,
            PathFact::ENCRYPTION_SETTLED, PathFact::POWER_SAFE, PathFact::OWNER_AGREED,
            ...$stick === null ? [] : [PathFact::FIRMWARE_ON_STICK],
        ];
        $stops = $stops === [] ? [new Release('the new version', '', [3, 6, 20])] : $stops;
        $now = $context->machine->fact('firmware.version')->value;
        $from = is_scalar($now) ? (string) $now : null;
        foreach ($stops as $index => $stop) {
            $last = $index === count($stops) - 1;
            // Named by its version: a reading in between shortens the way and renumbers what is left.
            $slug = $stop->file === ''
                ? 'new'
                : strtolower((string) preg_replace('/[^A-Za-z0-9.]+/', '-', $stop->version));
            $after = $last ? PathFact::FIRMWARE_UPDATED : "firmware.stop-{$slug}";
            $because = self::because($index, $stops, $stop, $context);
            $first = array_values(array_filter([$stick?->moving($stop), $stick?->socket($context->machine)]));
            $step = self::step($context, $stop, "firmware.write-{$slug}", [$before, $after], $from, $because);
            $steps[] = $step->with(['instructions' => [...$first, ...$step->instructions]]);
            $before = [$after, PathFact::POWER_SAFE];
            $from = $stop->version;
        }

        return $steps;
    }

    /**
     * @param  array{0: list<string>, 1: string}  $between  facts before and after it
     * @param  string|null  $from  version that is on the board until then
     * @param  list<Reason>  $because
     */
    private static function step(
        JobContext $context,
        Release $stop,
        string $id,
        array $between,
        ?string $from,
        array $because,
    ): Step {
        return new Step(
            $id,
            Stage::FirmwareUpdate,
            "Write {$stop->version}",
            Presence::StayNear,
            $stop->estimate(),
            [
                'Open the firmware\'s own updater, choose the file, start.',
                'Do not touch anything until it has restarted by itself. Never cut the power.',
                "Read the version in the setup: {$stop->version}.",
            ],
            before: $between[0], after: [$between[1]], needs: ['slot', 'power', 'stick'],
            done: DoneWords::in(
                SheetPart::Firmware,
                $from === null ? "Version {$stop->version} was written." : "Version {$from} → {$stop->version}",
                'version',
            ),
            acts: [Act::WriteFirmware],
            because: $because,
            cautions: self::cautions($context),
            evidence: [FirmwareReEntry::versionShown($stop->file === '' ? null : $stop->version)],
            confirmation: self::confirmation($context),
            waiting: self::waiting(),
            boots: [
                BootEvent::change(['firmware.version' => $stop->version, 'defaults' => 'loaded']),
                BootEvent::start(Wants::Setup, BootEvent::BY_KEY),
            ],
        );
    }

    private static function waiting(): Waiting
    {
        return new Waiting(
            ['a black screen for minutes', 'fans at full speed', 'two or three restarts'],
            'Wait twenty minutes in all. Then the board\'s own recovery way, by its sheet.',
            1,
        );
    }

    /**
     * @param  list<Release>  $stops
     * @return list<Reason>
     */
    private static function because(int $index, array $stops, Release $stop, JobContext $context): array
    {
        return [
            new Reason(
                'Stop '.($index + 1).' of '.count($stops)
                    .($stop->from === null ? '.' : ", may be written over {$stop->from} or newer."),
                'F5',
                $context->machine->title,
            ),
        ];
    }

    /**
     * @return list<string>
     */
    private static function cautions(JobContext $context): array
    {
        return [
            'A power cut or a wrong file can leave the board dead.',
            ...(
                $context->machine->fact('security_chip.version')->is('none')
                    ? []
                    : ['If the firmware offers to clear the security chip, refuse.']
            ),
        ];
    }

    private static function confirmation(JobContext $context): Confirmation
    {
        return (new WhichMachine($context->machine, $context->brief->owner))->confirmation(
            'nothing if it runs through, the board if it is cut short or the file is another board\'s',
        );
    }
}
