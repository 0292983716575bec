<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Hardware\Screws;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Fact;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;

/** From the started stick to the first answers: the right drive, the erasing, the waits and restarts (rules I1, I2, I5). */
final class InstallPlanner
{
    private const OPENED = ['Disconnect power and, first of all inside, the battery lead. Wait, and discharge yourself.', 'Mains parts inside power supplies are for qualified people.'];

    /**
     * @param  list<Gate>  $gates  what the erasing step waits for
     * @param  list<string>  $waitsFor  facts the erasing step waits for besides
     */
    public static function plan(Machine $machine, SystemProfile $system, TargetDrive $target, array $gates, array $waitsFor, string $owner): Contribution
    {
        $detach = self::detach($machine, $target);
        $erase = self::erase($machine, $system, $target, $gates, [...$waitsFor, ...($detach->steps === [] ? [] : [Fact::DRIVES_DETACHED])], $owner);

        return $detach->and(new Contribution([self::find($target), $erase, ...self::phases($system)], $target->decisions, $target->questions));
    }

    /** How long the stick stays in: start, erasing, and every phase up to the one after which it comes out. */
    public static function stickStaysIn(SystemProfile $system): Duration
    {
        $sum = Duration::minutes(5);
        foreach ($system->phases() as $phase) {
            $sum = $sum->plus(Duration::minutes($phase['minutes'][1]));
            if ($phase['restart']) {
                break;
            }
        }

        return $sum;
    }

    /** Several internal drives with data: the others come off, so that neither a slip nor the loader lands on them. */
    private static function detach(Machine $machine, TargetDrive $target): Contribution
    {
        $risky = array_values(array_filter($target->drive === null ? [] : $target->others, static fn (Drive $drive): bool => ! $drive->isBlank()));
        if ($risky === []) {
            return new Contribution;
        }
        $names = array_map(TargetDrive::describe(...), $risky);
        $decision = new Decision('install.others', 'The other internal drives', 'detached for the install', ['They hold data, and an installer may put its loader on any drive it sees.'], ['left in, target named by serial only' => ['A slip, or the loader on the wrong drive, would show only when that drive is removed one day.']], $names, 'I1');
        $opens = array_map(static fn (Drive $drive): PutBack => new PutBack("drive-{$drive->path}", 'Reattach '.TargetDrive::describe($drive), 'It was detached so that nothing could be written to it.', 'put-back.drives'), $risky);

        return new Contribution([
            new Step('hardware.detach', Stage::Hardware, 'Detach drives', Presence::Hands, Estimate::minutes(4, 3 + 3 * count($risky), 10 + 10 * count($risky)),
                ['Unplug the data lead of each of these, and note which socket it came from:', ...$names, 'The target stays in.'],
                before: [Fact::SHUT_DOWN, Fact::MACHINE_IDENTIFIED], after: [Fact::DRIVES_DETACHED], needs: ['hands', 'screwdriver'],
                done: DoneWords::of('The other drives were detached for the work'), acts: [Act::OpenMachine], because: [$decision->asReason()],
                cautions: self::OPENED, evidence: [Screws::out()], opens: $opens, boots: [BootEvent::change(['others' => 'out'])],
            ),
            new Step('put-back.drives', Stage::PutBack, 'Reattach drives', Presence::Hands, Estimate::minutes(4, 3 + 3 * count($risky), 10 + 10 * count($risky)),
                ['Shut down fully, power off. Plug each drive back into the socket it came from:', ...$names, 'Start once: the new system must come up with all drives in, and must list each of them.'],
                before: [Fact::PROVEN, Fact::DRIVES_DETACHED], after: array_map(static fn (PutBack $entry): string => Fact::putBack($entry->id), $opens), removes: [Fact::DRIVES_DETACHED], needs: ['hands', 'screwdriver'],
                done: DoneWords::of('The other drives were put back in their places'), acts: [Act::OpenMachine, Act::CloseMachine],
                because: [new Reason('They belong to the machine, and starting with all of them proves that the loader is on the target.', 'J4, I1')], cautions: self::OPENED, evidence: [Screws::in('hardware.detach')],
                boots: [BootEvent::change(['others' => 'in']), BootEvent::start(Wants::System)],
            ),
        ], [$decision], gather: [new \Cobblestone\Runbook\GatherItem('screwdriver and a tray', 'the case is opened; screws out = screws in')]);
    }

    private static function find(TargetDrive $target): Step
    {
        $drive = $target->drive;
        $what = $drive === null
            ? ['Compare size and contents of the drive with what the owner expects.', 'Note its serial from the label or from the installer\'s console.']
            : ["In the installer, find the drive with exactly `{$drive->size->count}` bytes ({$drive->size->decimal()}, shown as {$drive->size->binary()}).", $drive->serial === null ? 'It reports no serial: size, model and contents must all fit.' : 'Open the console and compare the serial: `lsblk -b -o NAME,SIZE,SERIAL,MODEL`.', 'The number the installer gives it means nothing.'];

        return new Step('target.find', Stage::Target, 'Find the drive', Presence::Hands, Estimate::minutes(1, 2, 6), $what,
            before: [Fact::MEDIUM_STARTED], after: [Fact::TARGET_NAMED], needs: ['hands'],
            because: $target->decisions === [] ? [new Reason('The target drive is still unknown; the question on this job settles it.', 'I1')] : [$target->decisions[0]->asReason()],
            cautions: ['No drive listed at all: stop, and see which controller mode is set. Do not force anything.'],
        );
    }

    /**
     * @param  list<Gate>  $gates
     * @param  list<string>  $waitsFor
     */
    private static function erase(Machine $machine, SystemProfile $system, TargetDrive $target, array $gates, array $waitsFor, string $owner): Step
    {
        $drive = $target->drive;
        $loses = match (true) {
            $drive === null => 'everything on the internal drive',
            $drive->isBlank() => 'nothing: the drive is blank',
            $drive->partitions === [] => 'everything on it',
            default => implode(', ', array_map(static fn ($partition): string => $partition->title().' ('.$partition->size->binary().')', $drive->partitions)),
        };

        return new Step('target.erase', Stage::Target, 'Erase the drive', Presence::Hands, Estimate::minutes(0.5, 1, 4),
            ['Delete every partition of this drive in the installer.', 'The free space must then be the whole drive; clearly less means another drive, or one partition left.', "Let {$system->name} lay out the drive as in the core beside."],
            before: [Fact::MEDIUM_STARTED, Fact::TARGET_NAMED, Fact::OWNER_AGREED, Fact::POWER_SAFE, ...$waitsFor], after: [Fact::TARGET_ERASED], needs: ['hands'], acts: [Act::Erase], gates: $gates,
            because: [...array_map(static fn (Decision $decision): Reason => $decision->asReason(), $target->decisions), new Reason('The goal is a clean install: the drive is erased whole.', 'I2', $system->dated())],
            cautions: ['Everything on the drive is lost. Deleting is not secure erasure: the data could still be recovered by others.'],
            done: DoneWords::in(SheetPart::Drive, $drive?->isBlank() === true ? "{$drive->title()} was blank and was laid out anew." : 'Erased: '.($drive?->title() ?? 'the internal drive').'. Deleting is not secure erasure.'),
            confirmation: new Confirmation($drive?->title() ?? 'the internal drive', $drive !== null ? $drive->size->count : (int) $machine->fact('drive_bytes')->value, $drive?->hasProof() === true ? $drive->serial : null, $loses, $owner, typed: $drive?->hasProof() === true),
            boots: [BootEvent::change(['target' => 'erased'])],
        );
    }

    /** @return list<Step> */
    private static function phases(SystemProfile $system): array
    {
        $steps = [];
        $fact = Fact::TARGET_ERASED;
        $out = false;
        foreach ($system->phases() as $index => $phase) {
            $last = $index === count($system->phases()) - 1;
            $after = $last ? Fact::SYSTEM_INSTALLED : "install.phase-{$index}";
            $steps[] = new Step("install.phase-{$index}", Stage::Install, $phase['name'], Presence::WalkAway, Estimate::minutes(...$phase['minutes']),
                $phase['do'] ?? ['Leave it alone: no key, no lid, no power button.'],
                before: $index > 0 && ! $out ? [$fact] : [$fact, ...($out ? [Fact::STICK_OUT] : [])], after: $index === 0 && ! $last ? [$after, Fact::SYSTEM_COPIED] : [$after], needs: ['slot', 'power'], acts: [Act::WriteSystem],
                because: [new Reason('Phase '.($index + 1).' of '.count($system->phases()).($phase['restart'] ? ', ends with a restart.' : '.'), 'I5', $system->dated())],
                waiting: new Waiting($phase['usual'] ?? ['the percentage stands still for minutes'], $phase['next_test'] ?? 'Look whether the drive light still moves; then wait the same time once more before touching anything.', $phase['restart'] ? 1 : 0),
                done: $last ? DoneWords::of("{$system->name} was installed") : null,
                boots: [...($index === 0 ? [BootEvent::change(['target' => 'installed'])] : []), ...($phase['restart'] && $out ? [BootEvent::start(Wants::NextPart)] : [])],
            );
            $fact = $after;
            if ($phase['restart'] && ! $out) {
                $steps[] = new Step('install.stick-out', Stage::Install, 'Stick out', Presence::Hands, Estimate::minutes(0.2, 0.5, 2),
                    ['At the restart, as soon as the screen goes dark, pull the stick.', '"No bootable device" afterwards: pick the system once in the one-time menu.'],
                    before: [$after], after: [Fact::STICK_OUT], needs: ['hands'], acts: [Act::WriteSystem],
                    because: [new Reason('With the stick still in, the machine would start the installer again.', 'I5', $system->dated())],
                    boots: [BootEvent::change(['stick' => 'out']), BootEvent::start(Wants::NextPart)],
                );
                $out = true;
            }
        }

        return $steps;
    }
}
