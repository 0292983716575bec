<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

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

/** The owner's files come back onto a machine that was erased, and are counted home (rule A6). */
final readonly class FilesHome
{
    /** The step that copies them back. */
    public const PUTS = 'files.put-back';

    /** The step that proves it. */
    public const COUNTS = 'files.count-home';

    /**
     * @param  list<string>  $folders  that were copied
     * @param  string  $from  where the copy is
     * @param  string  $size  bytes and files, in words
     * @param  list<string>  $left  what of the owner's the copy does not hold
     * @param  list<string>  $programs  that the owner cannot do without
     */
    public function __construct(
        private array $folders,
        private string $from,
        private string $size,
        private Estimate $time,
        private array $left = [],
        private array $programs = [],
    ) {
    }

    /**
     * @param  list<string>  $before  facts that the path brings about and files wait for
     * @return list<Step>
     */
    public function steps(array $before): array
    {
        return [$this->putting($before), $this->counting()];
    }

    /** @param  list<string>  $before */
    private function putting(array $before): Step
    {
        $what = $this->folders === [] ? 'the folders the owner named' : implode(', ', $this->folders);

        return new Step(
            self::PUTS,
            Stage::Tune,
            'Put the files back',
            Presence::WalkAway,
            $this->time,
            [
                "Attach {$this->from}, read-only.",
                "Copy {$what} into the owner's own folders, under the account that the owner will use. {$this->size}",
                'Bring `SHA256SUMS` along, and detach the copy when it is done.',
                ...$this->left === [] ? [] : ['Not in the copy, so not put back: '.implode('; ', $this->left).'.'],
            ],
            before: [PathFact::BACKUP_SETTLED, ...$before],
            after: [PathFact::FILES_BACK],
            needs: ['slot', 'external drive'],
            acts: [Act::CopyData],
            because: [
                new Reason(
                    'This path erases; the copy is where the files are. They come after updates and drivers, so '
                        .'that nothing has to be done twice if the system is set up once more.',
                    'A6',
                ),
            ],
            cautions: ['Personal data: nothing is opened that is not counted as a sample.'],
            waiting: new Waiting(
                ['many small files go slower than the rate says'],
                'Look whether the count of copied files still grows.',
            ),
        );
    }

    private function counting(): Step
    {
        return new Step(
            self::COUNTS,
            Stage::Tune,
            'Count the files home',
            Presence::Hands,
            Estimate::minutes(4, 8, 25),
            [
                'Count files and bytes where they are now.',
                'Compare the checksums there: `sha256sum -c SHA256SUMS`, or by what the system brings for it.',
                'The owner opens files of several kinds, changes one, and saves it.',
                ...$this->programs === [] ? [] : ['Start each program that the owner cannot do without.'],
            ],
            before: [PathFact::FILES_BACK],
            after: [PathFact::FILES_HOME],
            needs: ['hands'],
            done: DoneWords::in(
                SheetPart::Files,
                'Your files were put back, counted and compared with the copy, and samples were opened.',
                'files_home',
                'bytes_home',
                'programs',
            ),
            because: [
                new Reason(
                    'The copy is deleted one day. What was not counted home by then is lost.',
                    'A6, L4',
                ),
            ],
            evidence: FilesHomeEvidence::wanted($this->programs),
        );
    }
}
