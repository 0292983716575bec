<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Assessment\Backup\Destination;
use Cobblestone\Brief\BackupBlock;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Quantity\InvalidQuantity;
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
    private const UNMEASURED_MB_S = 25;

    /**
     * @param  list<Gate>  $gates  what every erasing step carries
     * @param  list<string>  $erasingWaitsFor  facts for the erasing step
     * @param  list<string>  $notCovered  what of the owner's is not copied
     * @param  array<string, mixed>  $figures  size, destination, what is not covered: for the page
     */
    private function __construct(public string $keep, public array $gates, public array $erasingWaitsFor, public Contribution $contribution, private array $figures = [], private array $notCovered = [])
    {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['keep' => $this->keep, ...$this->figures];
    }

    /**
     * @param  bool  $rescue  whether the drive is failing, so that its data is rescued before anything else
     * @param  bool  $staysOn  whether the present system is worked on and so is not shut down for good
     *
     * @throws BriefFault
     */
    public static function plan(Machine $machine, ?Drive $target, BackupBlock $wish, string $owner, Policy $policy, bool $rescue = false, bool $staysOn = false): self
    {
        if ($target?->isBlank() === true) {
            $decision = new Decision('assess.backup', 'Backup', 'none needed', ['The drive is blank: no table, no '
                .'file system.'], ['copy and verify' => ['There is nothing to copy.']], ['reading of the drive'], 'A6');

            return new self('blank', [], [], new Contribution(decisions: [$decision], initial: [PathFact::BACKUP_SETTLED, PathFact::SHUT_DOWN]));
        }
        $keep = $machine->fact('owner.keep')->value ?? $wish->keep;
        if ($keep === 'nothing') {
            return self::nothing($owner);
        }
        $questions = $keep === 'some' ? [] : [self::keeping()];

        return self::some($machine, $target, $wish, $policy, $questions, $rescue, $staysOn);
    }

    private static function keeping(): Question
    {
        $shuts = [Act::Erase, Act::WriteSystem, Act::Repair];

        return FactQuestion::about('owner.keep', 'whether the path begins with a backup', 'A6', 100, $shuts);
    }

    /** @return list<string> what of the owner's is not copied */
    public function notCoveredAtAll(): array
    {
        return $this->notCovered;
    }

    /** Whether the path copies something. */
    public function copies(): bool
    {
        return $this->contribution->steps !== [];
    }

    public function somethingToKeep(): bool
    {
        return $this->keep === 'some';
    }

    private static function nothing(string $owner): self
    {
        $gate = new Gate('backup', PathFact::BACKUP_SETTLED, 'Nothing to keep: the owner says so in '
            .'writing', 'protect.owner-word');
        $decision = new Decision('assess.backup', 'Backup', 'none, by the owner\'s '
            .'word', ["{$owner} keeps nothing on this "
            .'machine.'], ['copy and verify' => ['The owner wants nothing kept; less personal data is '
            .'copied.']], ['owner.keep = nothing'], 'A6');

        return new self('nothing', [$gate], [], new Contribution(decisions: [$decision], initial: [PathFact::SHUT_DOWN]));
    }

    /**
     * @param  list<Question>  $questions
     */
    private static function some(Machine $machine, ?Drive $target, BackupBlock $wish, Policy $policy, array $questions, bool $rescue, bool $staysOn): self
    {
        $wish = Destination::asRead($wish, $machine->drives);
        $bytes = self::bytes($wish, $target);
        $rate = DataRate::megabytes(min($wish->sourceMbS ?? INF, $wish->destination->mbS ?? self::UNMEASURED_MB_S));
        $files = $wish->files;
        $time = $bytes === null
            ? Estimate::minutes(20, 60, 240)
            : Estimate::around($rate->timeFor($bytes)->plus(Duration::seconds((int) ceil(($files ?? 0) * $policy->figure('seconds_per_file')))));
        $destination = $wish->destination->name ?? 'an external drive';
        $need = $bytes?->withMargin($policy->figure('backup_margin'));
        $size = $bytes === null ? 'The size is not known yet: measure the folders '
            .'first.' : "{$bytes->decimal()} in ".($files === null ? 'the used part of the '
            .'drive' : number_format($files, 0, '.', ' ').' files').", {$need?->decimal()} with the margin.";
        $starts = ! $machine->fact('old_system.starts')->is('no') && ! $machine->fact('symptom.starts')->is('no') && ! $machine->fact('symptom.starts')->is('recovery');
        $decision = new Decision('assess.backup', 'Backup', $rescue ? "rescue to {$destination}, then "
            .'verify' : "copy to {$destination} and verify", [$size, 'It goes to another physical drive than the '
            .'one erased.', ...($rescue ? ['The drive is failing: every hour it runs may cost data, so this comes '
            .'before everything.'] : []), ...($starts ? [] : ['The old system does not start, so a live system does '
            .'the copying.'])], ['no backup' => ['The owner has data to keep, or nobody has said '
            .'otherwise.']], ['owner.keep', "margin {$policy->figure('backup_margin')}"], 'A6');
        $proven = $wish->existing?->proven === true ? $wish->existing : null;
        $existing = $proven?->date;
        if ($proven !== null) {
            $decision = new Decision('assess.backup', 'Backup', "the one of {$existing}, looked at once more", ["It was proven on {$existing}".(($proven->samples ?? 0) > 0 ? ", {$proven->samples} samples opened." : '.'), 'What came since then is not in it: the owner says what that is.'], ['copy everything again' => ['A proven copy is there already.']], ["backup of {$existing}"], 'A6');
        }
        $gate = new Gate('backup', PathFact::BACKUP_SETTLED, 'Backup verified, or waived in '
            .'writing', BackupEvidence::STEP, ['lead'], [BackupSteps::COPIES, BackupEvidence::STEP, 'protect.detach-backup']);

        $left = self::notCovered($wish, $target);

        return new self('some', [$gate], [PathFact::BACKUP_DETACHED], new Contribution(
            steps: BackupSteps::for($destination, $bytes, $wish->folders, $time, $decision, BackupEvidence::wanted($files, $wish->bytes === null ? null : $bytes), $rescue, $starts, ! $staysOn, Destination::cautions($wish), $existing),
            decisions: [$decision],
            questions: $questions,
            gather: [new GatherItem($destination, 'takes the backup; comes off before partitions are touched')],
            initial: [...($staysOn ? [PathFact::SHUT_DOWN] : []), ...($existing === null ? [] : [PathFact::BACKUP_COPIED])],
            blockers: $existing === null ? Destination::blockers($wish, $need, $target) : [],
        ), ['bytes' => $bytes?->count, 'need_bytes' => $need?->count, 'minutes' => $time->jsonSerialize(), 'destination' => $destination, 'folders' => $wish->folders, 'not_covered' => $left], $left);
    }

    private static function bytes(BackupBlock $wish, ?Drive $target): ?Bytes
    {
        try {
            return $wish->bytes === null ? $target?->used() : Bytes::parse($wish->bytes);
        } catch (InvalidQuantity $e) {
            throw BriefFault::at('backup.bytes', $e->getMessage());
        }
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
