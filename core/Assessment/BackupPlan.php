<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Assessment\Backup\BackupFound;
use Cobblestone\Assessment\Backup\Destination;
use Cobblestone\Brief\BackupBlock;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Brief\ExistingBackup;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Gate;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Question;

/**
 * Whether something has to be kept, how large it is, whether it fits, and the gate that waits for proof (rules A6,
 * J12).
 */
final readonly class BackupPlan
{
    /** Rate of a destination nobody has measured: an older external drive. */
    public const UNMEASURED_MB_S = 25;

    /**
     * @param  list<Gate>  $gates  what every erasing step carries
     * @param  list<string>  $erasingWaitsFor  facts for the erasing step
     */
    private function __construct(
        public BackupFound $found,
        public array $gates,
        public array $erasingWaitsFor,
        public Contribution $contribution,
    ) {
    }

    /** @throws BriefFault */
    public static function plan(
        Machine $machine,
        ?Drive $target,
        BackupBlock $wish,
        string $owner,
        Policy $policy,
        BackupSituation $situation,
    ): self {
        $keep = $machine->fact('owner.keep')->value ?? $wish->keep;
        // Something that is kept elsewhere in the machine is kept, however blank the drive is that is written to.
        if ($target?->isBlank() === true && $keep !== 'some' && ! self::names($wish)) {
            $decision = new Decision(
                'assess.backup',
                'Backup',
                'none needed',
                ['The drive is blank: no table, no file system.'],
                ['copy and verify' => ['There is nothing to copy.']],
                ['reading of the drive'],
                'A6',
            );

            return new self(
                new BackupFound(BackupFound::BLANK),
                [],
                [],
                new Contribution(decisions: [$decision], initial: [PathFact::BACKUP_SETTLED, PathFact::SHUT_DOWN]),
            );
        }
        if ($keep === 'nothing') {
            return self::nothing($owner);
        }
        $questions = $keep === 'some' ? [] : [self::keeping()];

        return self::some($machine, $target, $wish, $policy, $questions, $situation);
    }

    /** Whether the brief names something to copy. */
    private static function names(BackupBlock $wish): bool
    {
        return $wish->folders !== [] || ($wish->bytes ?? 0) !== 0 || ($wish->files ?? 0) > 0;
    }

    private static function keeping(): Question
    {
        $shuts = [Act::Erase, Act::WriteSystem, Act::Repair];

        return FactQuestion::about('owner.keep', 'whether the path begins with a backup', 'A6', 100, $shuts);
    }

    /** @return list<string> what of the owner's is not copied */
    public function notCoveredAtAll(): array
    {
        return $this->found->notCovered;
    }

    /** Whether the path copies something. */
    public function copies(): bool
    {
        return $this->contribution->steps !== [];
    }

    public function somethingToKeep(): bool
    {
        return $this->found->keep === 'some';
    }

    private static function nothing(string $owner): self
    {
        $gate = new Gate(
            'backup',
            PathFact::BACKUP_SETTLED,
            'Nothing to keep: the owner says so in writing',
            'protect.owner-word',
        );
        $decision = new Decision('assess.backup', 'Backup', 'none, by the owner\'s word', ["{$owner} keeps nothing "
            .'on this machine.'], [
                'copy and verify' => ['The owner wants nothing kept; less personal data is copied.'],
            ], ['owner.keep = nothing'], 'A6');

        return new self(
            new BackupFound('nothing'),
            [$gate],
            [],
            new Contribution(decisions: [$decision], initial: [PathFact::SHUT_DOWN]),
        );
    }

    /**
     * @param  list<Question>  $questions
     */
    private static function some(
        Machine $machine,
        ?Drive $target,
        BackupBlock $wish,
        Policy $policy,
        array $questions,
        BackupSituation $situation,
    ): self {
        $wish = Destination::asRead($wish, $machine->drives);
        $bytes = BackupChoice::bytes($wish, $target);
        $destination = $wish->destination->name ?? 'an external drive';
        $need = $bytes?->withMargin($policy->figure('backup_margin'));
        $time = BackupChoice::time($wish, $bytes, $policy);
        $starts = ! $machine->fact('old_system.starts')->is('no')
            && ! $machine->fact('symptom.starts')->is('no')
            && ! $machine->fact('symptom.starts')->is('recovery');
        $proven = $wish->existing?->proven === true ? $wish->existing : null;
        $size = BackupChoice::size($wish, $bytes, $need);
        $decision = $proven === null
            ? BackupChoice::decision($situation->rescue, $destination, $size, $starts, $policy)
            : BackupChoice::onceMore($proven);
        $left = self::notCovered($wish, $target);
        $wanted = BackupEvidence::wanted($wish->files, $wish->bytes === null ? null : $bytes);
        $copy = self::copy($destination, $bytes, $wish, $time, $proven);
        $contribution = new Contribution(
            BackupSteps::for($copy, $decision, $wanted, $situation, $starts),
            [$decision],
            $questions,
            [new GatherItem($destination, 'takes the backup; comes off before partitions are touched')],
            [
                ...($situation->staysOn ? [PathFact::SHUT_DOWN] : []),
                ...($proven === null ? [] : [PathFact::BACKUP_COPIED]),
            ],
            $proven === null ? Destination::blockers($wish, $need, $target) : [],
            $proven === null ? Destination::assumed($wish, $need, $target) : [],
        );
        $found = new BackupFound('some', $destination, $bytes, $need, $time, $wish->folders, $left);

        return new self($found, [self::gate()], [PathFact::BACKUP_DETACHED], $contribution);
    }

    private static function copy(
        string $destination,
        ?Bytes $bytes,
        BackupBlock $wish,
        Estimate $time,
        ?ExistingBackup $proven,
    ): BackupCopy {
        return new BackupCopy(
            $destination,
            $bytes,
            $wish->folders,
            $time,
            Destination::cautions($wish),
            $proven?->date,
        );
    }

    private static function gate(): Gate
    {
        return new Gate(
            'backup',
            PathFact::BACKUP_SETTLED,
            'Backup verified, or waived in writing',
            BackupEvidence::STEP,
            ['lead'],
            [
                BackupSteps::COPIES,
                BackupEvidence::STEP,
                'protect.detach-backup',
                FilesHome::PUTS,
                FilesHome::COUNTS,
            ],
        );
    }

    /**
     * What of the owner's the copy leaves out: folders named at intake and not chosen, and volumes nobody looked into.
     *
     * @return list<string>
     */
    private static function notCovered(BackupBlock $wish, ?Drive $target): array
    {
        $left = array_values(array_diff($wish->seenFolders, $wish->folders));
        foreach ($target->partitions ?? [] as $partition) {
            if ($partition->encrypted) {
                $left[] = "{$partition->title()}: an encrypted volume, unless it was opened for the copy";
            }
        }

        return [...$left, ...$wish->excluded];
    }
}
