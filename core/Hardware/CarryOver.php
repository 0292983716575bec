<?php

declare(strict_types=1);

namespace Cobblestone\Hardware;

use Cobblestone\Assessment\BackupEvidence;
use Cobblestone\Assessment\FilesHomeEvidence;
use Cobblestone\Brief\BackupBlock;
use Cobblestone\Machine\Drive;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;

/** Data that is copied over from the drive that came out, or from its rescued copy (rule A6). */
final readonly class CarryOver
{
    /**
     * @param  string|null  $oldName  the old drive in words; null where its rescued copy is what is copied from
     * @param  bool  $asksForKey  whether the old drive is locked
     */
    public function __construct(
        private ?string $oldName,
        private ?Drive $old,
        private BackupBlock $wish,
        private bool $asksForKey,
    ) {
    }

    public function step(Policy $policy): Step
    {
        $from = $this->oldName ?? 'the rescued copy';
        $done = $this->oldName === null
            ? 'Your files were carried over from the rescued copy.'
            : 'Your files were carried over from the old drive.';
        $what = $this->wish->folders === [] ? 'the folders the owner named' : implode(', ', $this->wish->folders);

        return new Step(
            'install.carry-over',
            Stage::Updates,
            'Carry the data over',
            Presence::WalkAway,
            $this->time($policy),
            [
                "Attach {$from}, read-only.",
                ...$this->asksForKey ? ['It asks for its key: the owner types it.'] : [],
                "Copy {$what}.",
                'Count files and bytes on both sides, compare checksums, then take it off again.',
                'The owner opens files of several kinds, changes one, and saves it.',
            ],
            before: [PathFact::UPDATED],
            after: [PathFact::CARRIED_OVER],
            needs: ['slot', 'external drive'],
            done: DoneWords::in(SheetPart::Files, $done, 'files_over', 'bytes_over'),
            acts: [Act::CopyData],
            because: [new Reason('Nothing was erased, so the data comes from what is kept.', 'A6')],
            evidence: [
                ...BackupEvidence::carriedOver('install.carry-over', $this->wish->files, $this->told()),
                ...FilesHomeEvidence::compared(),
            ],
            waiting: new Waiting(['many small files go slower'], 'Look whether the count still grows.'),
        );
    }

    private function told(): ?Bytes
    {
        return $this->wish->bytes === null ? null : Bytes::parse($this->wish->bytes);
    }

    private function time(Policy $policy): Estimate
    {
        $bytes = $this->told() ?? $this->old?->used();
        $rate = min($policy->figure('host_port_mb_s'), $this->wish->sourceMbS ?? 100);

        return $bytes === null
            ? Estimate::minutes(15, 45, 180)
            : Estimate::around(DataRate::megabytes($rate)->timeFor($bytes));
    }
}
