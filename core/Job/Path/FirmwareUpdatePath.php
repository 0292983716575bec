<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Encryption\Protection;
use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Brief\UpdateBlock;
use Cobblestone\Findings\Findings;
use Cobblestone\Firmware\UpdateSupply;
use Cobblestone\Job\DriveFate;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\OwnersLoss;
use Cobblestone\Job\OwnersWord;
use Cobblestone\Job\WhichMachine;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\Release;
use Cobblestone\Quantity\Duration;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Assumption;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\Acceptance;
use Cobblestone\Tuning\ProofScope;
use Cobblestone\Tuning\ProofSubject;

/** Firmware only: with a reason, through the required stops, settings recorded and entered again (rules J1, F5). */
final class FirmwareUpdatePath
{
    public static function draft(JobContext $context): PathDraft
    {
        $machine = $context->machine;
        $wish = $context->brief->update ?? new UpdateBlock;
        $drive = count($machine->internalDrives()) === 1 ? $machine->internalDrives()[0] : null;
        [$stops, $questions, $blockers, $decision] = ReleaseRoute::route($context, $wish);
        $which = new WhichMachine($machine, $context->brief->owner);
        array_push($questions, ...$which->questions([Act::WriteFirmware]));
        if (trim($wish->reason) === '') {
            $blockers[] = Blocker::stop(
                'update-reason',
                'A firmware update without a reason is refused.',
                'F5',
                Door::choice('update.reason', 'Say what it mends or brings.'),
            );
        }
        $decrypted = $machine->fact('decrypt.percent')->value;
        if (is_numeric($decrypted) && $decrypted < 100) {
            $blockers[] = Blocker::narrow(
                'decrypting',
                "The drive is being decrypted, {$decrypted} % so far: a restart into another firmware may stop at its "
                    .'key.',
                'A7, F5',
                [Act::WriteFirmware, Act::ChangeSettings],
                Door::fact('decrypt.percent', 'Wait until it says 100 %, and say so.', '100'),
                ["decrypt.percent = {$decrypted}"],
            );
        }
        $assumed = $decrypted === null && $machine->fact('drive.encryption')->value !== Protection::None->value
            ? new Contribution(assumed: [new Assumption(
                'decrypt.percent',
                'No decryption is running on its drive: nobody has looked.',
                'A7, U2',
                Door::fact('decrypt.percent', 'Read on the machine how far it is, 100 where none runs.'),
            )])
            : new Contribution;
        $protection = self::safeguards($context, $drive, $stops);
        $supply = self::supply($stops, $machine)->and($assumed);
        $recovery = FirmwareReady::recoveryWay($context);
        $stick = FirmwareStick::for($context, $stops);
        $all = $protection->encryption->contribution->and($protection->memoryContribution())
            ->and($supply)
            ->and(self::contribution($decision, $questions, $blockers, $stick));
        $steps = [
            ...IntakeSteps::first(
                $machine,
                OwnersWord::step(new OwnersLoss(DriveFate::Stays, $drive), $context->brief->owner, null),
            ),
            IntakeSteps::gather($all->gather),
            ...$all->steps,
            ...$recovery,
            ...FirmwareReady::fetchAndRecord($context, $stops, $stick),
            ...FirmwareWrites::writing($context, $stops, $stick),
            ...FirmwareReEntry::after($context, $stops),
            Acceptance::step(
                new ProofSubject($machine, $context->system),
                [PathFact::SETTINGS_BACK],
                ProofScope::Firmware,
            ),
        ];

        return self::pathDraft($steps, $all, $wish, $protection, $stick);
    }

    /**
     * @param  list<Release>  $stops
     */
    private static function supply(array $stops, Machine $machine): Contribution
    {
        // Each write is judged by itself: between two of them the supply can be charged again.
        $minutes = max([
            0.0,
            ...array_map(static fn (Release $stop): float => $stop->estimate()->likely->inMinutes(), $stops),
        ]);
        $supply = UpdateSupply::plan($machine, Duration::minutes($stops === [] ? 6.0 : $minutes));

        return $supply;
    }

    /**
     * @param  list<Release>  $stops
     */
    private static function safeguards(JobContext $context, ?Drive $drive, array $stops): Safeguards
    {
        return SafeguardPlanner::plan(
            $context,
            $drive,
            [],
            static fn (bool $keep): EncryptionIntent => new EncryptionIntent(
                true,
                [Trigger::FirmwareVersion],
                max(1, count($stops)) + 1,
                $keep,
            ),
            false,
        );
    }

    /**
     * @param  list<Question>  $questions
     * @param  list<Blocker>  $blockers
     */
    private static function contribution(
        Decision $decision,
        array $questions,
        array $blockers,
        ?FirmwareStick $stick,
    ): Contribution {
        return new Contribution(
            decisions: $stick === null ? [$decision] : [$decision, $stick->decision],
            questions: $questions,
            gather: [
                new GatherItem(
                    $stick === null ? 'stick with FAT32' : "stick: {$stick->decision->chosen}",
                    'the firmware file stands in its top folder; a port on the board itself',
                ),
            ],
            initial: [PathFact::STICK_OUT, PathFact::BACKUP_SETTLED, PathFact::SHUT_DOWN],
            blockers: $blockers,
        );
    }

    /** @param  list<Step>  $steps */
    private static function pathDraft(
        array $steps,
        Contribution $all,
        UpdateBlock $wish,
        Safeguards $protection,
        ?FirmwareStick $stick,
    ): PathDraft {
        return new PathDraft(
            $all->withSteps($steps),
            new Findings(
                $protection->health->drives,
                $protection->encryption->found(),
                update: new UpdateBlock($wish->reason, $wish->to, $wish->gives),
            ),
            files: $stick?->wanted,
        );
    }
}
