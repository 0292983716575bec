<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\InstallPhase;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;

/**
 * From the started stick to the first answers: the right drive, the erasing, the waits and restarts (rules I1, I2,
 * I5).
 */
final class InstallPlanner
{
    public static function plan(
        Machine $machine,
        SystemProfile $system,
        TargetDrive $target,
        BeforeErasing $before,
        InstallPace $pace,
    ): Contribution {
        [$drive, $keeping] = [$target->drive, $target->keeping];
        [$licence, $edition, $live] = [$before->licence, $before->edition, $before->live?->step()];
        $screens = new InstallerPages($system, $licence, $edition, $drive, $keeping, $live !== null);
        $pages = $screens->step();
        $detach = DetachSteps::for($machine, $target);
        $erase = EraseStep::erase(
            $machine,
            $system,
            $target,
            $before->gates,
            [...$before->waitsFor, ...$detach->steps === [] ? [] : [PathFact::DRIVES_DETACHED]],
            $before->owner,
        );

        return $detach->and(
            new Contribution(
                [
                    ...array_filter([$live, $pages]),
                    TargetSteps::find($target, $pages === null ? [] : [PathFact::PAGES_ANSWERED]),
                    $keeping === null ? $erase : RoomStep::insteadOf($erase, $keeping, $system),
                    ...self::phases($system, $machine->kind, $pace)],
                $target->decisions,
                $target->questions,
                blockers: [...$target->blockers, ...$screens->takesAll() ? [self::takesAll($system)] : []],
            ),
        );
    }

    private static function takesAll(SystemProfile $system): Blocker
    {
        return Blocker::narrow(
            'stays-installer-takes-all',
            "Something on the drive is to stay, and the installer of {$system->name} offers only the whole drive.",
            'I8',
            [Act::Erase, Act::WriteSystem],
            Keeping::door('Lay out the whole drive, after a copy of what is wanted.'),
            [$system->dated()],
        );
    }

    /** How long the stick stays in: start, erasing, and every phase up to the one after which it comes out. */
    public static function stickStaysIn(SystemProfile $system, InstallPace $pace): Duration
    {
        $sum = Duration::minutes(5);
        foreach ($system->install->phases as $phase) {
            $sum = $sum->plus($pace->estimate($phase)->likely);
            if ($phase->restart && ! $phase->startsAgain) {
                break;
            }
        }

        return $sum;
    }

    /** @return list<Step> */
    private static function phases(SystemProfile $system, Kind $kind, InstallPace $pace): array
    {
        $steps = [];
        $fact = PathFact::TARGET_ERASED;
        $out = false;
        foreach ($system->install->phases as $index => $phase) {
            $last = $index === count($system->install->phases) - 1;
            $after = $last ? PathFact::SYSTEM_INSTALLED : "install.phase-{$index}";
            $steps[] = self::phase($system, $index, $kind, $pace, [$fact, $after, $out]);
            $fact = $after;
            if ($phase->startsAgain && ! $out) {
                $steps[] = StartAgain::step($fact = "{$after}-again", $after, $system);
            } elseif ($phase->restart && ! $out) {
                $steps[] = self::stickOut($after, $system);
                $out = true;
            }
        }

        return $steps;
    }

    /** @param  array{0: string, 1: string, 2: bool}  $stands  facts before and after it, whether the stick is out */
    private static function phase(
        SystemProfile $system,
        int $index,
        Kind $kind,
        InstallPace $pace,
        array $stands,
    ): Step {
        [$fact, $after, $out] = $stands;
        $phase = $system->install->phases[$index];
        $last = $index === count($system->install->phases) - 1;

        return new Step(
            "install.phase-{$index}",
            Stage::Install,
            $phase->name,
            Presence::WalkAway,
            $pace->estimate($phase),
            $phase->do === [] ? [$kind->leftAlone()] : $phase->do,
            before: $index > 0 && ! $out ? [$fact] : [$fact, ...$out ? [PathFact::STICK_OUT] : []],
            after: $index === 0 && ! $last ? [$after, PathFact::SYSTEM_COPIED] : [$after],
            needs: ['slot', 'power'],
            acts: [Act::WriteSystem],
            because: [
                ...self::because($index, $system, $phase),
                $pace->because($phase, $system->dated()),
            ],
            waiting: self::waiting($phase),
            done: $last ? DoneWords::of("{$system->name} was installed") : null,
            boots: [
                ...$index === 0 ? [BootEvent::change(['target' => 'installed'])] : [],
                ...$phase->restart && $out ? [BootEvent::start(Wants::NextPart)] : [],
            ],
        );
    }

    /**
     * @return list<Reason>
     */
    private static function because(int $index, SystemProfile $system, InstallPhase $phase): array
    {
        return [
            new Reason(
                'Phase '.
                    ($index + 1).
                    ' of '.
                    count($system->install->phases).
                    ($phase->restart ? ', ends with a restart.' : '.'),
                'I5',
                $system->dated(),
            ),
        ];
    }

    private static function waiting(InstallPhase $phase): Waiting
    {
        return new Waiting(
            $phase->usual === [] ? ['the percentage stands still for minutes'] : $phase->usual,
            $phase->nextTest ??
                'Look whether the drive light still moves; then wait the same time once more before touching anything.',
            $phase->restart ? 1 : 0,
        );
    }

    private static function stickOut(string $after, SystemProfile $system): Step
    {
        return new Step(
            'install.stick-out',
            Stage::Install,
            'Stick out',
            Presence::Hands,
            Estimate::minutes(0.2, 0.5, 2),
            [
                'At the restart, as soon as the screen goes dark, pull the stick.',
                '"No bootable device" afterwards: pick the system once in the one-time menu.',
            ],
            before: [$after],
            after: [PathFact::STICK_OUT],
            needs: ['hands'],
            acts: [Act::WriteSystem],
            because: [
                new Reason(
                    'With the stick still in, the machine may start the installer again.',
                    'I5',
                    $system->dated(),
                ),
            ],
            boots: [BootEvent::change(['stick' => 'out']), BootEvent::start(Wants::NextPart)],
        );
    }
}
