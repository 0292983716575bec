<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Brief\BackupDestination;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** The stone after a job: the copy of the owner's files is deleted on the day that was agreed (rule L4). */
final class CopyGone
{
    public const STEP = 'files.delete-copy';

    private const HOW = [
        'deleted' => 'deleted, and the bin emptied',
        'overwritten' => 'deleted, and the free space overwritten',
        'erased' => 'the whole drive was erased',
        'given' => 'the drive is the owner\'s, and went with it',
    ];

    /** @param  string  $job  number and title of the job whose copy it is */
    public static function step(?BackupDestination $destination, string $job): Step
    {
        $where = $destination->name ?? 'the drive with the copy';

        return new Step(
            self::STEP,
            Stage::HandOver,
            'Delete the copy of the files',
            Presence::Hands,
            Estimate::minutes(2, 5, 20),
            [
                "Take {$where}, and compare its serial.",
                "Delete the folder of {$job} and nothing else; empty the bin.",
                'Look once more: nothing of it is there.',
            ],
            needs: ['hands'],
            acts: [Act::CopyData],
            because: [
                new Reason('Personal data is kept as long as was agreed, and no longer.', 'L4'),
            ],
            evidence: self::evidence($destination?->serial),
        );
    }

    /** @return list<Evidence> */
    private static function evidence(?string $serial): array
    {
        return [
            ...$serial === null ? [] : [
                new Evidence(
                    'copy_serial',
                    'Serial as printed on the drive with the copy',
                    EvidenceKind::Serial,
                    expected: new Expected($serial, hidden: true),
                    remedy: 'Another drive is in your hand. Nothing is deleted from that.',
                ),
            ],
            new Evidence('how', 'How it was deleted', EvidenceKind::Choice, self::HOW),
            new Evidence(
                'gone',
                'Looked once more: nothing of it is there',
                EvidenceKind::Choice,
                ['yes' => 'nothing is there', 'no' => 'something is still there'],
                expected: new Expected('yes'),
                remedy: 'Delete what is left, and look once more.',
            ),
        ];
    }
}
