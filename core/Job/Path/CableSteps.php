<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Catalogue\Image;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\WhichMachine;
use Cobblestone\Machine\Model\CableRecovery;
use Cobblestone\Machine\Model\Move;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;

/** The stones of a restore over a cable: helper, special mode, revive, restore (rule F7). */
final class CableSteps
{
    /** Rate over the recovery cable, while nobody has measured it (default, MB/s). */
    private const CABLE_MB_S = 30.0;

    /** @return list<GatherItem> */
    public static function gather(?CableRecovery $recovery): array
    {
        return [
            new GatherItem(
                'helper machine',
                'system at least '.($recovery->helperMinimum ?? 'as the maker asks').', network, 30 GB free',
            ),
            new GatherItem($recovery->cable ?? 'cable of the right kind', 'a charging-only cable carries no data'),
            new GatherItem('charger', 'the machine must not run empty'),
        ];
    }

    public static function helper(?CableRecovery $recovery, Image $image): Step
    {
        return new Step('media.helper', Stage::Media, 'Ready the helper', Presence::Hands, Estimate::minutes(3, 8, 40),
            [
                'Update the helper machine: at least '.($recovery->helperMinimum ?? 'the version the maker asks for')
                    .'.',
                "Fetch `{$image->file}`, the image for exactly this model.",
                "Run `sha256sum {$image->file}` on it, or what the helper brings for that.",
                $image->checksumLine(),
                'Keep the helper from sleeping.',
            ],
            before: [PathFact::GATHERED],
            after: [PathFact::HELPER_READY],
            needs: ['hands', 'bench computer', 'network'],
            because: [new Reason('An older helper refuses the newer image half-way.', 'F7')],
        );
    }

    public static function start(JobContext $context): Step
    {
        $recovery = $context->machine->model?->recovery;
        $serial = (new WhichMachine($context->machine, $context->brief->owner))->serial();
        $port = $recovery?->port !== null ? 'Cable into the '
            ."socket {$recovery->port}, seen from "
                ."{$recovery->seenFrom}." : 'Cable into the socket the maker names for recovery; others charge only.';
        $sequence = array_map(
            static fn (Move $move): string => $move->do.($move->seconds === null ? '' : ", {$move->seconds} s").'.',
            $recovery->sequence ?? [],
        );

        return new Step('boot.recovery', Stage::Boot, 'Into recovery', Presence::Hands, Estimate::minutes(1, 3, 15),
            [
                $port,
                'Fully off first.',
                ...($sequence === [] ? ['Hold the combination of this model until the helper shows it.'] : $sequence),
                'The helper must show this machine, and no other one: where two are listed, take the other off.',
                'At most three tries; then cable and socket are checked again.',
            ],
            before: [PathFact::SHUT_DOWN, PathFact::HELPER_READY, PathFact::MACHINE_IDENTIFIED],
            after: [PathFact::RECOVERY_STARTED],
            needs: ['hands', 'slot'],
            acts: [Act::StartMedium],
            because: [
                new Reason(
                    'Socket, cable and combination belong to this exact model.',
                    'F7',
                    $recovery === null ? 'usual for sealed machines' : 'catalogue',
                ),
            ],
            evidence: $serial === null ? [] : [new Evidence(
                'helper_serial',
                'Serial that the helper shows',
                EvidenceKind::Serial,
                expected: new Expected($serial, hidden: true),
                remedy: 'Stop: this is another machine. Take every other one off the helper.',
            )],
            waiting: new Waiting(
                ['the machine stays dark: only the helper shows it'],
                'Other cable, the other socket, once more from fully off.',
            ),
            boots: [
                BootEvent::change(['recovery.held' => 'yes']),
                BootEvent::start(Wants::Recovery, BootEvent::BY_KEY),
            ],
            opensWith: Wants::Recovery,
        );
    }

    /** @param  list<string>  $waits */
    public static function revive(JobContext $context, array $waits): Step
    {
        return new Step('install.revive', Stage::Install, 'Revive', Presence::StayNear, self::time($context),
            [
                'Choose revive on the helper, not restore.',
                self::fromFile($context),
                'Leave cable and both machines alone.',
            ],
            before: [PathFact::RECOVERY_STARTED, PathFact::OWNER_AGREED, ...$waits],
            after: [PathFact::REPAIR_DONE],
            needs: ['slot', 'power'],
            done: DoneWords::in(SheetPart::Repair, 'The system was revived over a cable; your data stayed.'),
            acts: [Act::Repair],
            because: [new Reason('It keeps the data and is tried before anything that erases.', 'F7, A3')],
            evidence: [new Evidence('revived', 'It', 'choice', ['starts' => 'starts again'])],
            waiting: new Waiting(
                ['the bar stands still near the end', 'it restarts twice'],
                'Failed or not starting: note a problem, then mark reviving as tried; the path becomes a restore.',
                2,
            ),
            boots: [
                BootEvent::change(['recovery.held' => 'no', 'target' => 'repaired']),
                BootEvent::start(Wants::System),
            ],
        );
    }

    /**
     * @param  list<\Cobblestone\Runbook\Gate>  $gates
     * @param  list<string>  $waits
     * @return list<Step>
     */
    public static function restore(JobContext $context, array $gates, array $waits): array
    {
        return [
            new Step(
                'target.restore',
                Stage::Target,
                'Start the restore',
                Presence::Hands,
                Estimate::minutes(0.5, 2, 6),
                [
                    'Choose restore on the helper; compare the serial it shows with the one on the case.',
                    self::fromFile($context),
                ],
                before: [PathFact::RECOVERY_STARTED, PathFact::OWNER_AGREED, ...$waits],
                after: [PathFact::TARGET_ERASED],
                needs: ['hands'],
                acts: [Act::Erase],
                gates: $gates,
                because: [new Reason('From here on everything on the machine is gone.', 'F7')],
                cautions: ['Everything on the machine is lost.'],
                done: DoneWords::in(SheetPart::Drive, 'Everything on it was erased.'),
                confirmation: self::confirmation($context)),
            self::restored($context),
        ];
    }

    private static function restored(JobContext $context): Step
    {
        return new Step(
            'install.restore',
            Stage::Install,
            'Restore',
            Presence::StayNear,
            self::time($context),
            ['Leave cable and both machines alone.'],
            before: [PathFact::TARGET_ERASED], after: [PathFact::SYSTEM_INSTALLED], needs: ['slot', 'power'],
            done: DoneWords::of('The system was restored over a cable'),
            acts: [Act::WriteSystem],
            because: [new Reason('The helper writes firmware and system.', 'F7, J3')],
            waiting: new Waiting(
                ['the bar stands still near the end', 'it restarts twice'],
                'At most three tries; then cable and socket are checked again.',
                2,
            ),
            boots: [
                BootEvent::change(['recovery.held' => 'no', 'target' => 'installed']),
                BootEvent::start(Wants::System),
            ]);
    }

    private static function confirmation(JobContext $context): Confirmation
    {
        return (new WhichMachine($context->machine, $context->brief->owner))->confirmation('everything on it');
    }

    private static function time(JobContext $context): Estimate
    {
        $image = $context->image()->size();

        return Estimate::around(DataRate::megabytes(self::CABLE_MB_S)->timeFor($image)->plus(Duration::minutes(8)));
    }

    /** What is written is the file that was fetched and checked, not what a helper may fetch by itself. */
    private static function fromFile(JobContext $context): string
    {
        $image = $context->image();

        return "Choose to take it from a file: `{$image->file}`, {$image->size()->exact()}"
            .($image->sha256 === null ? '' : ', SHA-256 `'.substr($image->sha256, 0, 16).'…`, as compared before')
            .'. Not what the helper offers to fetch by itself.';
    }
}
