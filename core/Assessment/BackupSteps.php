<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;

/** The stones of a backup: copy, prove, take the copy away, shut down fully (rule A6). */
final class BackupSteps
{
    /** The step that copies the owner's files. */
    public const COPIES = 'protect.back-up';

    private const IMAGE_FIRST = 'Copy the whole drive as an image first, easy parts before hard ones, and take the '
        .'folders from the image.';

    /**
     * @param  bool  $starts  whether the old system starts
     * @param  list<Evidence>  $evidence  what proves the copy
     * @return list<Step>
     */
    public static function for(
        BackupCopy $copy,
        Decision $decision,
        array $evidence,
        BackupSituation $situation,
        bool $starts = true,
    ): array {
        [$destination, $existing, $rescue] = [$copy->destination, $copy->existing, $situation->rescue];
        $what = $copy->folders === [] ? 'the folders the owner named' : implode(', ', $copy->folders);

        $steps = [
            self::copying($rescue, $copy, $starts, self::sums($situation, $starts && ! $rescue), $what, $decision),
            self::checking($existing, $rescue, $evidence),
            new Step(
                'protect.detach-backup',
                Stage::Protect,
                'Detach the backup',
                Presence::Hands,
                Estimate::minutes(0.5, 1, 2),
                ["Eject {$destination}, unplug it, label it with the job and put it away from the machine."],
                before: [PathFact::BACKUP_SETTLED],
                after: [PathFact::BACKUP_DETACHED],
                needs: ['hands'],
                because: [new Reason('What is not plugged in cannot be erased by mistake.', 'A6')],
            ),
            self::shuttingDown(),
        ];

        $steps = ! $situation->staysOn ? $steps : array_slice($steps, 0, 3);

        return $existing === null ? $steps : array_slice($steps, 1);
    }

    /** @param  bool  $running  whether the old system runs while it is copied, and not a live one */
    private static function sums(BackupSituation $situation, bool $running): string
    {
        return match (true) {
            ! $running => 'Make checksums of the originals: `find FOLDER -type f -exec sha256sum {} + > SHA256SUMS`.',
            $situation->checksums !== null => "Make checksums of the originals: `{$situation->checksums}`.",
            default => 'Make SHA-256 checksums of the originals into `SHA256SUMS`, by what the old system brings for '
                .'it; where it brings nothing, from a live system.',
        };
    }

    private static function copying(
        bool $rescue,
        BackupCopy $copy,
        bool $starts,
        string $sums,
        string $what,
        Decision $decision,
    ): Step {
        return new Step(
            self::COPIES,
            Stage::Protect,
            $rescue ? 'Rescue the data' : 'Back up',
            Presence::WalkAway,
            $copy->time,
            [
                ...$starts && ! $rescue
                    ? ["Attach {$copy->destination} to the running old system."]
                    : ["Start a live system, attach {$copy->destination}, and open the old drive read-only."],
                ...($rescue ? [self::IMAGE_FIRST] : []),
                "Copy {$what}.",
                $sums,
                'List what is not copied: online-only files, files encrypted for one user.',
            ],
            before: [PathFact::MACHINE_IDENTIFIED],
            after: [PathFact::BACKUP_COPIED],
            needs: ['slot', 'external drive'],
            acts: [Act::CopyData],
            because: [$decision->asReason()],
            cautions: [
                ...$rescue ? ['The drive is failing: no repair, no check, nothing else is written to it.'] : [],
                'Personal data: copy only what was agreed.',
                ...$copy->cautions,
            ],
            waiting: new Waiting(
                ['many small files go slower than the rate says'],
                'Look whether the count of copied files still grows.',
            ),
        );
    }

    /**
     * @param  list<Evidence>  $evidence
     */
    private static function checking(?string $existing, bool $rescue, array $evidence): Step
    {
        return new Step(
            BackupEvidence::STEP,
            Stage::Protect,
            'Check the backup',
            Presence::Hands,
            Estimate::minutes(3, 6, 20),
            [
                ...$existing === null
                    ? []
                    : ["The copy of {$existing} is there: attach it, and ask the owner what came since then."],
                'Count files and bytes on both sides.',
                'Compare the checksums on the copy: `sha256sum -c SHA256SUMS`.',
                'Open three different kinds of file from the copy.',
            ],
            before: [PathFact::BACKUP_COPIED],
            after: [PathFact::BACKUP_SETTLED],
            needs: ['hands'],
            done: DoneWords::in(
                SheetPart::Files,
                $rescue
                    ? 'Your files were rescued from the failing drive; the copy was counted and compared on both '
                        .'sides, and samples were opened.'
                    : 'Your files were copied, counted and compared on both sides, and samples were opened.',
                'files_copy',
                'bytes_copy',
            ),
            because: [
                new Reason(
                    'The drive is erased later; after that the copy is all there is. Every one-way step waits '
                        .'for this proof.',
                    'A6',
                ),
            ],
            evidence: $evidence,
        );
    }

    private static function shuttingDown(): Step
    {
        return new Step(
            'protect.shut-down',
            Stage::Protect,
            'Shut down fully',
            Presence::Hands,
            Estimate::minutes(0.5, 1, 3),
            ['Shut the old system down fully: not sleep, not a fast start. Wait until lights and fans are off.'],
            before: [PathFact::BACKUP_COPIED],
            after: [PathFact::SHUT_DOWN],
            needs: ['hands'],
            because: [
                new Reason(
                    'A hibernated system leaves its drive half-written, and a held key combination works only '
                        .'from fully off.',
                    'A6, F8',
                ),
            ],
        );
    }
}
