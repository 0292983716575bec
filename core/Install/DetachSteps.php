<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Hardware\OpenedCase;
use Cobblestone\Hardware\Screws;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\DriveWords;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/** What comes out, or off, before the target is written, and goes back afterwards (rules I1, J4, K2). */
final class DetachSteps
{
    public static function for(Machine $machine, TargetDrive $target): Contribution
    {
        if ($target->drive === null || $target->out === []) {
            return new Contribution();
        }
        $opens = self::opensCase($target->out);
        $decision = self::decision($target, array_map(DriveWords::full(...), $target->out));
        $count = count($target->out);
        $time = $opens
            ? Estimate::minutes(4, 3 + 3 * $count, 10 + 10 * $count)
            : Estimate::minutes(0.5, $count, 3 + 2 * $count);
        $needs = $opens ? ['hands', 'screwdriver'] : ['hands'];
        $cautions = $opens ? OpenedCase::cautions($machine->kind) : [];

        return new Contribution(
            [
                self::detach($target, $target->drive, $time, $needs, $cautions, $decision),
                self::reattach($target, $time, $needs, $cautions),
            ],
            [$decision],
            gather: $opens
                ? [new GatherItem('screwdriver and a tray', 'the case is opened; screws out = screws in')]
                : [],
        );
    }

    /**
     * @param  list<string>  $needs
     * @param  list<string>  $cautions
     */
    private static function detach(
        TargetDrive $target,
        Drive $drive,
        Estimate $time,
        array $needs,
        array $cautions,
        Decision $decision,
    ): Step {
        $opens = self::opensCase($target->out);
        $entries = self::reattaching($target);
        $count = count($target->out);

        return new Step(
            'hardware.detach',
            Stage::Hardware,
            'Detach drives',
            Presence::Hands,
            $time,
            [...self::how($target->out), 'The target stays in: '.DriveWords::target($drive).'.'],
            before: [PathFact::SHUT_DOWN, PathFact::MACHINE_IDENTIFIED],
            after: [PathFact::DRIVES_DETACHED],
            needs: $needs,
            done: DoneWords::of(
                $count === 1
                    ? 'Another drive was detached for the work'
                    : 'The other drives were detached for the work',
            ),
            acts: [$opens ? Act::OpenMachine : Act::FitPart],
            because: [$decision->asReason()],
            cautions: $cautions,
            evidence: $opens ? [Screws::out()] : [],
            opens: $entries,
            boots: [BootEvent::change(['others' => 'out'])],
        );
    }

    /**
     * @param  list<string>  $needs
     * @param  list<string>  $cautions
     */
    private static function reattach(
        TargetDrive $target,
        Estimate $time,
        array $needs,
        array $cautions,
    ): Step {
        $opens = self::opensCase($target->out);
        $names = array_map(DriveWords::full(...), $target->out);
        $entries = self::reattaching($target);
        $count = count($target->out);

        return new Step(
            'put-back.drives',
            Stage::PutBack,
            'Reattach drives',
            Presence::Hands,
            $time,
            [
                'Shut down fully, power off. Plug each drive back into the place it came from:',
                ...$names,
                'Start once: the new system must come up with all drives in, and must list each of them.',
            ],
            before: [PathFact::PROVEN, PathFact::DRIVES_DETACHED],
            after: array_map(static fn (PutBack $entry): string => PathFact::putBack($entry->id), $entries),
            removes: [PathFact::DRIVES_DETACHED],
            needs: $needs,
            done: DoneWords::of(
                $count === 1
                    ? 'The other drive was put back in its place'
                    : 'The other drives were put back in their places',
            ),
            acts: [Act::FitPart, Act::CloseMachine],
            because: self::because(),
            cautions: $cautions,
            evidence: $opens ? [Screws::in('hardware.detach')] : [],
            boots: [BootEvent::change(['others' => 'in']), BootEvent::start(Wants::System)],
        );
    }

    /**
     * @return list<PutBack>
     */
    private static function reattaching(TargetDrive $target): array
    {
        return array_map(
            static fn (Drive $drive): PutBack => new PutBack(
                'drive-'.($drive->identity() ?? $drive->path),
                'Reattach '.DriveWords::full($drive),
                'It was detached so that nothing could be written to it.',
                'put-back.drives',
            ),
            $target->out,
        );
    }

    /**
     * @return list<Reason>
     */
    private static function because(): array
    {
        return [
            new Reason(
                'They belong to the machine, and starting with all of them proves that the loader is on '
                    .'the target.',
                'J4, I1',
            ),
        ];
    }

    /** @param  list<Drive>  $out */
    private static function opensCase(array $out): bool
    {
        return array_filter($out, static fn (Drive $drive): bool => $drive->isInternal()) !== [];
    }

    /**
     * @param  list<Drive>  $out
     * @return list<string>
     */
    private static function how(array $out): array
    {
        $inside = array_values(array_filter($out, static fn (Drive $drive): bool => $drive->isInternal()));
        $outside = array_values(array_filter($out, static fn (Drive $drive): bool => ! $drive->isInternal()));
        $leads = array_filter($inside, static fn (Drive $drive): bool => $drive->transport !== 'nvme') !== [];

        return [
            ...$outside === []
                ? []
                : ['Unplug, and label with the job:', ...array_map(DriveWords::full(...), $outside)],
            ...$inside === []
                ? []
                : [
                    $leads
                        ? 'Unplug the data lead of each of these, or take it out of its slot, and note where it was:'
                        : 'Take each of these out of its slot, and note which slot it was:',
                    ...array_map(DriveWords::full(...), $inside),
                ],
        ];
    }

    /** @param  list<string>  $names */
    private static function decision(TargetDrive $target, array $names): Decision
    {
        $data = array_filter($target->out, static fn (Drive $drive): bool => ! $drive->isBlank()) !== [];
        $alike =
            array_filter(
                $target->out,
                static fn (Drive $drive): bool => $drive->size->count === $target->drive?->size->count,
            ) !== [];
        $reasons = [
            ...$target->isProven()
                ? []
                : ['The target reports no serial of its own: only being the one drive that is left names it.'],
            ...$alike ? ['A drive of the same size looks the same in an installer.'] : [],
            ...$data
                ? [
                    'What holds data cannot be written by mistake once it is out, and an installer may put its '
                        .'loader on any drive it sees.',
                ]
                : [],
        ];

        return new Decision(
            'install.others',
            'The other drives',
            'detached for the install',
            $reasons,
            $target->isProven()
                ? [
                    'left in, target named by serial only' => [
                        'A slip, or the loader on the wrong drive, would show only when that drive is removed one day.',
                    ],
                ]
                : [],
            $names,
            'I1',
        );
    }
}
