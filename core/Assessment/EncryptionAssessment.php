<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Assessment\Encryption\Binding;
use Cobblestone\Assessment\Encryption\EncryptionBranch;
use Cobblestone\Assessment\Encryption\EncryptionDecision;
use Cobblestone\Assessment\Encryption\EncryptionFound;
use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Encryption\EncryptionQuestions;
use Cobblestone\Assessment\Encryption\EncryptionSteps;
use Cobblestone\Assessment\Encryption\Protection;
use Cobblestone\Assessment\Encryption\RecoveryPrompt;
use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Assessment\Encryption\TriggerFound;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Partition;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\PathFact;

/** Drive encryption before anything that could ask for a key, and before a drive is erased (rule A7). */
final readonly class EncryptionAssessment
{
    /**
     * @param  bool  $firmwareWaits  whether firmware settings may change only once the backup is settled
     * @param  list<string>  $keysOfOthers  facts: the keys of encrypted drives that stay are known
     */
    private function __construct(
        public Protection $protection,
        public Binding $binding,
        public EncryptionBranch $branch,
        public bool $firmwareWaits,
        public Contribution $contribution,
        private array $keysOfOthers,
        private EncryptionIntent $intent,
    ) {
    }

    /** @param  list<Drive>  $others internal drives that stay beside it */
    public static function assess(Machine $machine, ?Drive $drive, array $others, EncryptionIntent $intent): self
    {
        $protection = self::protection($machine, $drive);
        $binding = Binding::tryFrom($machine->fact('encryption.binding')->spoken()) ?? Binding::Unknown;
        $key = self::answer($machine, 'encryption.key');
        $starts = self::answer($machine, 'old_system.starts');
        $branch = EncryptionBranch::of($protection, $binding, $intent, $key, $starts);
        $waits = ! $intent->staysAfter && $intent->somethingToKeep && $protection->mayAskForKey();
        $keys = EncryptionSteps::keysOf(array_values(array_filter($others, self::isEncrypted(...))));
        $suspend =
            $branch === EncryptionBranch::SuspendAndResume
                ? EncryptionSteps::suspend($machine, $drive, $binding, $intent)
                : [];
        $read = self::read($machine, $drive);
        $decision = new EncryptionDecision($protection, $binding, $branch, $intent, $waits, $key);
        $contribution = new Contribution(
            steps: [...$keys, ...$suspend],
            decisions: [$decision->of($read)],
            questions: (new EncryptionQuestions($protection, $binding, $branch, $intent))->of($machine, $drive, $read),
            // While it is asked, the answer's own gate holds the step back.
            initial: $suspend === [] ? [PathFact::ENCRYPTION_SETTLED] : [],
            blockers: $branch === EncryptionBranch::Stop ? [$decision->blocker()] : [],
        );
        $keysOfOthers = array_merge(...array_map(static fn ($step): array => $step->after, $keys), ...[[]]);

        return new self($protection, $binding, $branch, $waits, $contribution, $keysOfOthers, $intent);
    }

    /** @return list<string> facts that the erasing step waits for besides its gate */
    public function erasingWaitsFor(): array
    {
        return $this->keysOfOthers;
    }

    public function found(): EncryptionFound
    {
        $asks = $this->protection->mayAskForKey();
        $triggers = $this->intent->triggers;

        return new EncryptionFound(
            $this->protection,
            $this->binding,
            $this->branch,
            array_map(fn (Trigger $trigger): TriggerFound => new TriggerFound(
                $trigger->title(),
                $asks && $trigger->bites($this->binding),
            ), $triggers),
            $asks ? RecoveryPrompt::advice($triggers, ! $this->intent->staysAfter) : [],
        );
    }

    private static function protection(Machine $machine, ?Drive $drive): Protection
    {
        if ($drive?->isBlank() === true) {
            return Protection::None;
        }
        $told = Protection::tryFrom($machine->fact('drive.encryption')->spoken()) ?? Protection::Unknown;

        // A reading that shows an encrypted volume, or one that cannot be told, outranks "not encrypted".
        $doubted = $drive !== null && (self::isEncrypted($drive) || $drive->untold() !== []);

        return $told === Protection::None && $doubted ? Protection::Unknown : $told;
    }

    /** @return list<string> what the reading of the drive says of encryption, and what it contradicts */
    private static function read(Machine $machine, ?Drive $drive): array
    {
        $encrypted = array_filter(
            $drive->partitions ?? [],
            static fn (Partition $partition): bool => $partition->encrypted,
        );
        $names = implode(', ', array_map(static fn (Partition $one): string => $one->title(), $encrypted));

        $untold = $drive?->untold() ?? [];

        return match (true) {
            $encrypted === [] && $untold !== [] => [
                'The reading shows what this bench does not know ('.self::words($untold).'): whether it is encrypted '
                    .'cannot be told from it.',
            ],
            $encrypted === [] => [],
            $machine->fact('drive.encryption')->is('none') => [
                "The reading shows an encrypted volume ({$names}): \"not encrypted\" cannot be so.",
            ],
            default => ["The reading shows an encrypted volume: {$names}."],
        };
    }

    /** @param  list<Partition>  $untold */
    private static function words(array $untold): string
    {
        return implode(', ', array_unique(array_map(
            static fn (Partition $one): string => "\"{$one->fileSystem}\", {$one->size->binary()}",
            $untold,
        )));
    }

    private static function answer(Machine $machine, string $fact): ?bool
    {
        return match (mb_strtolower($machine->fact($fact)->spoken())) {
            'yes', 'known', 'in-hand' => true,
            'no', 'none', 'lost' => false,
            default => null,
        };
    }

    private static function isEncrypted(Drive $drive): bool
    {
        return array_filter($drive->partitions, static fn (Partition $partition): bool => $partition->encrypted) !== [];
    }
}
