<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Brief\UpdateBlock;
use Cobblestone\Firmware\SettingsEvidence;
use Cobblestone\Firmware\UpdatePath;
use Cobblestone\Firmware\UpdateSupply;
use Cobblestone\Firmware\WayIn;
use Cobblestone\Job\DriveFate;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\OwnersWord;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Model\Release;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;
use Cobblestone\Tuning\Acceptance;
use Cobblestone\Tuning\ProofScope;

/** Firmware only: with a reason, through the required stops, settings recorded and entered again (rules J1, F5). */
final class FirmwareUpdatePath
{
    public static function draft(JobContext $context): PathDraft
    {
        $machine = $context->machine;
        $wish = $context->brief->update ?? new UpdateBlock;
        $reason = trim($wish->reason);
        $drive = count($machine->internalDrives()) === 1 ? $machine->internalDrives()[0] : null;
        [$stops, $questions, $blockers, $decision] = self::route($context, $wish);
        if ($reason === '') {
            $blockers[] = Blocker::stop('update-reason', 'A firmware update without a reason is refused: say what it mends or brings.', 'F5');
        }
        $protection = SafeguardPlanner::plan($context, $drive, [], static fn (bool $keep): EncryptionIntent => new EncryptionIntent(true, [Trigger::FirmwareVersion], max(1, count($stops)) + 1, $keep), false);
        // Each write is judged by itself: between two of them the supply can be charged again.
        $minutes = max([0.0, ...array_map(static fn (Release $stop): float => $stop->estimate()->likely->inMinutes(), $stops)]);
        $supply = UpdateSupply::plan($machine, Duration::minutes($stops === [] ? 6.0 : $minutes));
        $recovery = self::recoveryWay($context);
        $all = $protection->encryption->contribution->and($protection->memoryContribution())->and($supply)->and(new Contribution(decisions: [$decision], questions: $questions, gather: [new GatherItem('stick with FAT32', 'the firmware file stands in its top folder; a port on the board itself')], initial: [PathFact::STICK_OUT, PathFact::BACKUP_SETTLED, PathFact::SHUT_DOWN], blockers: $blockers));
        $steps = [
            ...IntakeSteps::first($machine, OwnersWord::step(DriveFate::Stays, $drive, $context->brief->owner, null)),
            IntakeSteps::gather($all->gather),
            ...$all->steps,
            ...$recovery,
            ...self::fetchAndRecord($context, $stops),
            ...self::writing($context, $stops),
            ...FirmwareReEntry::after($context, $stops),
            Acceptance::step($machine, $context->system, null, null, [PathFact::SETTINGS_BACK], ProofScope::Firmware),
        ];

        return new PathDraft((new Contribution($steps))->and(new Contribution([], $all->decisions, $all->questions, $all->gather, $all->initial, $all->blockers)),
            assessment: ['update' => array_intersect_key($wish->toArray(), ['to' => 1, 'gives' => 1, 'reason' => 1]), 'encryption' => $protection->encryption->toArray(), 'health' => $protection->health->toArray()]);
    }

    /**
     * @return array{0: list<Release>, 1: list<Question>, 2: list<Blocker>, 3: Decision}
     */
    private static function route(JobContext $context, UpdateBlock $wish): array
    {
        $machine = $context->machine;
        $releases = $machine->model->firmware->releases ?? [];
        $now = $machine->fact('firmware.version');
        $none = static fn (string $chosen, string $why): Decision => new Decision('firmware.update', 'Firmware update', $chosen, [$why], [], ["firmware.version = {$now->spoken()}"], 'F5');
        if ($now->isUnknown()) {
            return [[], [FactQuestion::about('firmware.version', 'which releases it has to go through', 'F5', 85, [Act::WriteFirmware])], [], $none('after the version is known', 'The way depends on the version that is on it now.')];
        }
        if ($releases === []) {
            return [[], [], [], $none($wish->to !== null ? "to {$wish->to}" : 'from the maker\'s page', 'The catalogue holds no releases for this board: take the file from the maker\'s page by exact board and revision, and read its notes for required stops.')];
        }
        $processor = $machine->fact('processor')->value;
        $revision = $machine->fact('board.revision')->value;
        $path = UpdatePath::find($releases, $now->text(), $wish->to, $wish->gives, is_scalar($processor) ? (string) $processor : null, is_scalar($revision) ? (string) $revision : null, $wish->processor);
        $questions = $revision === null ? self::revisionQuestion($releases) : [];
        $refused = [];
        foreach ($path->leftOut as $one) {
            $refused[$one['version']] = [ucfirst($one['because'])];
        }
        if ($path->fault !== null) {
            return [[], $questions, [Blocker::narrow('update-route', $path->fault, 'F5', [Act::WriteFirmware, Act::ChangeSettings], ["firmware.version = {$now->spoken()}"])], new Decision('firmware.update', 'Firmware update', $path->target === $now->value ? 'none' : 'stop', [$path->fault], $refused, ["firmware.version = {$now->spoken()}"], 'F5')];
        }
        $entered = count($machine->settings());
        $total = $path->total($entered);

        return [$path->stops, $questions, [], new Decision('firmware.update', 'Firmware update', implode(', then ', array_map(static fn (Release $stop): string => $stop->version, $path->stops)), ['Each release may only be written over the one it names or a newer one.', $path->because, count($path->stops).' × (write + restart) + '.$entered." settings entered again: about {$total->label()} in all."], ['newest at once' => ['A required stop would be skipped.'], ...$refused], ["firmware.version = {$now->spoken()}", ...array_map(static fn (Release $stop): string => "{$stop->version} from ".($stop->from ?? 'any').($stop->processors === [] ? '' : ', runs '.implode(' and ', $stop->processors)), $path->stops)], 'F5')];
    }

    /**
     * A file for another revision can leave the board dead: every revision the maker knows is asked for, not those of
     * one release.
     *
     * @param  list<Release>  $releases
     * @return list<Question>
     */
    private static function revisionQuestion(array $releases): array
    {
        $all = array_values(array_unique(array_merge(...array_map(static fn (Release $release): array => $release->revisions, $releases), ...[[]])));
        sort($all);

        if ($all === []) {
            return [];
        }
        $decides = 'which firmware file belongs to this board; another revision is another board';
        $words = array_map(static fn (string $one): string => "revision {$one}", $all);
        $asked = FactQuestion::about('board.revision', $decides, 'F5', 84, [Act::WriteFirmware]);

        return [$asked->offering(array_combine($all, $words))];
    }

    /**
     * The way back after a write that was cut short: known, or its absence signed.
     *
     * @return list<Step>
     */
    private static function recoveryWay(JobContext $context): array
    {
        $way = $context->machine->model?->firmware?->recoveryWay;

        return [new Step('firmware.way-back', Stage::FirmwareUpdate, $way === null ? 'No way back: signed' : 'The way back', Presence::Hands, Estimate::minutes(0.5, 1, 4),
            $way === null ? ['No way is known to bring this board back after a write that was cut short.', 'Tell the owner that it could stay dead, and have them sign, or find the way in the board\'s sheet first.'] : ["After a write that was cut short: {$way}.", 'Lay ready what that takes.'],
            before: [PathFact::TAKEN_IN], after: [PathFact::RECOVERY_WAY], needs: ['hands'],
            because: [new Reason($way === null ? 'A board without a way back is risked only with the owner\'s word.' : 'It is looked up while the machine still starts.', 'F5', $context->machine->title)],
            evidence: $way === null ? [new Evidence('no_way_back_signed', 'Signed by', 'text')] : [],
        )];
    }

    /**
     * @param  list<Release>  $stops
     * @return list<Step>
     */
    private static function fetchAndRecord(JobContext $context, array $stops): array
    {
        $files = $stops === [] ? ['The file for exactly this board and revision.'] : array_map(static fn (Release $stop): string => "`{$stop->file}` for {$stop->version}.", $stops);

        return [
            new Step('firmware.fetch', Stage::FirmwareUpdate, 'Firmware file', Presence::Hands, Estimate::minutes(3, 6, 20),
                ['Compare board name and revision on the board with the file: another revision is another board.', ...$files, self::onStick($context)],
                before: [PathFact::MACHINE_IDENTIFIED, PathFact::GATHERED], after: [PathFact::FIRMWARE_FETCHED], needs: ['hands', 'stick'],
                because: [new Reason('A file for another revision can leave the board dead.', 'F5', $context->machine->fact('board.name')->spoken().' '.$context->machine->fact('board.revision')->spoken())],
            ),
            new Step('firmware.snapshot', Stage::FirmwareUpdate, 'Record settings', Presence::Hands, Estimate::minutes(3, 6, 15),
                [...WayIn::setup($context->machine)->instructions('the setup'), 'Photograph or note every page: the update sets them back to their defaults.'],
                before: [PathFact::SHUT_DOWN], after: [PathFact::FIRMWARE_RECORDED], needs: ['hands', 'slot'],
                because: [new Reason('What was set is entered again afterwards.', 'F3, F5')],
                evidence: SettingsEvidence::recorded($context->machine),
                boots: [BootEvent::start(Wants::Setup, BootEvent::BY_KEY)],
                opensWith: Wants::Setup,
            ),
        ];
    }

    /**
     * @param  list<Release>  $stops
     * @return list<Step>
     */
    private static function writing(JobContext $context, array $stops): array
    {
        $steps = [];
        $before = [PathFact::RECOVERY_WAY, PathFact::FIRMWARE_FETCHED, PathFact::FIRMWARE_RECORDED, PathFact::ENCRYPTION_SETTLED, PathFact::POWER_SAFE, PathFact::OWNER_AGREED];
        $stops = $stops === [] ? [new Release('the new version', '', [3, 6, 20])] : $stops;
        $now = $context->machine->fact('firmware.version')->value;
        $from = is_scalar($now) ? (string) $now : null;
        foreach ($stops as $index => $stop) {
            $last = $index === count($stops) - 1;
            // Named by its version: a reading in between shortens the way and renumbers what is left.
            $slug = $stop->file === '' ? 'new' : strtolower((string) preg_replace('/[^A-Za-z0-9.]+/', '-', $stop->version));
            $after = $last ? PathFact::FIRMWARE_UPDATED : "firmware.stop-{$slug}";
            $steps[] = new Step("firmware.write-{$slug}", Stage::FirmwareUpdate, "Write {$stop->version}", Presence::StayNear, $stop->estimate(),
                ['Open the firmware\'s own updater, choose the file, start.', 'Do not touch anything until it has restarted by itself. Never cut the power.', "Read the version in the setup: {$stop->version}."],
                before: $before, after: [$after], needs: ['slot', 'power', 'stick'],
                done: DoneWords::in(SheetPart::Firmware, $from === null ? "Version {$stop->version} was written." : "Version {$from} → {$stop->version}", 'version'), acts: [Act::WriteFirmware],
                because: [new Reason('Stop '.($index + 1).' of '.count($stops).($stop->from === null ? '.' : ", may be written over {$stop->from} or newer."), 'F5', $context->machine->title)],
                cautions: ['A power cut or a wrong file can leave the board dead.', ...($context->machine->fact('security_chip.version')->is('none') ? [] : ['If the firmware offers to clear the security chip, refuse.'])],
                evidence: [FirmwareReEntry::versionShown($stop->file === '' ? null : $stop->version)],
                confirmation: new Confirmation('the firmware of '.trim($context->machine->title), 0, null, 'nothing if it runs through, the board if it is cut short', $context->brief->owner, typed: false),
                waiting: new Waiting(['a black screen for minutes', 'fans at full speed', 'two or three restarts'], 'Wait twenty minutes in all. Then the board\'s own recovery way, by its sheet.', 1),
                boots: [BootEvent::change(['firmware.version' => $stop->version, 'defaults' => 'loaded']), BootEvent::start(Wants::Setup, BootEvent::BY_KEY)],
            );
            $before = [$after, PathFact::POWER_SAFE];
            $from = $stop->version;
        }

        return $steps;
    }

    private static function onStick(JobContext $context): string
    {
        $there = $context->brief->update?->onStick;

        return $there !== null ? "`{$there}` lies on a stick already: it must be this file, in the top folder of FAT32; compare its checksum with the maker's." : 'Put it into the top folder of a FAT32 stick and compare its checksum with the maker\'s.';
    }
}
