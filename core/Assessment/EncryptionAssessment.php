<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Assessment\Encryption\Binding;
use Cobblestone\Assessment\Encryption\EncryptionBranch;
use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Encryption\EncryptionQuestions;
use Cobblestone\Assessment\Encryption\EncryptionSteps;
use Cobblestone\Assessment\Encryption\Protection;
use Cobblestone\Assessment\Encryption\RecoveryPrompt;
use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Partition;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
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
        $branch = EncryptionBranch::of($protection, $binding, $intent, $key, self::answer($machine, 'old_system.starts'));
        $waits = ! $intent->staysAfter && $intent->somethingToKeep && $protection->mayAskForKey();
        $keys = EncryptionSteps::keysOf(array_values(array_filter($others, self::isEncrypted(...))));
        $suspend = $branch === EncryptionBranch::SuspendAndResume ? EncryptionSteps::suspend($machine, $drive, $binding, $intent) : [];
        // While it is asked, the answer's own gate holds the step back.
        $initial = $suspend === [] ? [PathFact::ENCRYPTION_SETTLED] : [];

        return new self($protection, $binding, $branch, $waits, new Contribution(
            steps: [...$keys, ...$suspend],
            decisions: [self::decision($protection, $binding, $branch, $waits, $intent, $key, self::read($machine, $drive))],
            questions: (new EncryptionQuestions($protection, $binding, $branch, $intent))->of($machine, self::read($machine, $drive)),
            initial: $initial,
            blockers: $branch === EncryptionBranch::Stop ? [Blocker::stop('recovery-key', self::stop($intent), 'A7', ["drive.encryption = {$protection->value}", 'encryption.key = no'], besides: [Act::CopyData])] : [],
        ), array_merge(...array_map(static fn ($step): array => $step->after, $keys), ...[[]]), $intent);
    }

    /** @return list<string> facts that the erasing step waits for besides its gate */
    public function erasingWaitsFor(): array
    {
        return $this->keysOfOthers;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'protection' => $this->protection->value, 'title' => $this->protection->title(), 'binding' => $this->binding->title(), 'bound_to' => $this->binding->value, 'branch' => $this->branch->value,
            'triggers' => array_map(fn (Trigger $trigger): array => ['what' => $trigger->title(), 'asks' => $this->protection->mayAskForKey() && $trigger->bites($this->binding)], $this->intent->triggers),
            'at_the_prompt' => $this->protection->mayAskForKey() ? RecoveryPrompt::advice($this->intent->triggers, ! $this->intent->staysAfter) : [],
        ];
    }

    private static function protection(Machine $machine, ?Drive $drive): Protection
    {
        if ($drive?->isBlank() === true) {
            return Protection::None;
        }
        $told = Protection::tryFrom($machine->fact('drive.encryption')->spoken()) ?? Protection::Unknown;

        // A reading that shows an encrypted volume outranks "not encrypted".
        return $told === Protection::None && $drive !== null && self::isEncrypted($drive) ? Protection::Unknown : $told;
    }

    /** @return list<string> what the reading of the drive says of encryption, and what it contradicts */
    private static function read(Machine $machine, ?Drive $drive): array
    {
        $names = array_map(static fn (Partition $partition): string => $partition->title(), array_filter($drive->partitions ?? [], static fn (Partition $partition): bool => $partition->encrypted));

        return match (true) {
            $names === [] => [],
            $machine->fact('drive.encryption')->is('none') => ['The reading shows an encrypted volume ('.implode(', ', $names).'): "not encrypted" cannot be so.'],
            default => ['The reading shows an encrypted volume: '.implode(', ', $names).'.'],
        };
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

    private static function stop(EncryptionIntent $intent): string
    {
        return $intent->staysAfter
            ? 'The drive is bound to the security chip, what is planned would ask for its recovery key, and nobody '
                .'has it. Find the key with the owner first; without it nothing here may be changed.'
            : 'The drive is encrypted, the old system does not start, nobody has the recovery key, and data on it '
                .'is wanted: it cannot be copied. Find the key with the owner, or have the owner give the data up '
                .'in writing.';
    }

    /** @param  list<string>  $read  what a reading says of it */
    private static function decision(Protection $protection, Binding $binding, EncryptionBranch $branch, bool $waits, EncryptionIntent $intent, ?bool $key, array $read): Decision
    {
        $suspended = 'suspend over '.max(1, $intent->restarts).' restarts, then resume';
        [$chosen, $because, $refused] = match ($branch) {
            EncryptionBranch::NotEncrypted => ['none', ['There is no encrypted volume on this drive.'], []],
            EncryptionBranch::KeyInClear => ['nothing to do: the key is in '
                .'clear', ['It is encrypted without a protector, so no recovery key exists yet and nothing can ask '
                .'for one. That is the evidence.'], ['look for a recovery key' => ['There is none.']]],
            EncryptionBranch::FirmwareDoesNotMatter => ['nothing to do: a '
                .'passphrase', ['A passphrase is asked at every start anyway; firmware changes do not matter to it.'], ['suspend protection' => ['There is nothing that a firmware change could trip.']]],
            EncryptionBranch::NothingTouchesIt => ['nothing to do', ['It is bound to the security chip, but nothing '
                .'on this path touches what it is bound to.'], ['suspend protection' => ['It would only be weaker '
                .'for a while.']]],
            EncryptionBranch::SuspendAndResume => [$suspended, ['The old system stays, and a planned change would '
                .'ask for its recovery key.', 'The key is in hand first: suspending can '
                .'fail.'], ['decrypt first' => ['Hours of work, and it has to be encrypted '
                .'again.'], 'just go on' => ['The machine would stop at the recovery prompt.']]],
            EncryptionBranch::ErasedAnyway => ['nothing to decrypt: the drive is erased', [match (true) {
                ! $intent->somethingToKeep => 'The drive is erased, and nothing on it has to be kept.',
                $waits => 'The drive is erased once its backup is verified or waived; until then no firmware '
                    .'setting is touched, because a changed setting could ask the old system for its recovery key.',
                default => 'The drive is erased after its backup, and a firmware change does not lock it.',
            }, 'The stick is started by the one-time menu, so that the old system is not started in '
                .'between.'], ['decrypt first' => ['Hours of work on data that is erased '
                .'afterwards.'], 'suspend protection' => ['Needed only where the old system stays.']]],
            EncryptionBranch::ComesOut => self::comesOut($protection, $intent, $key),
            EncryptionBranch::Stop => ['stop', [self::stop($intent)], ['go on' => ['It could not be undone.']]],
            EncryptionBranch::Ask => ['ask first', ['Nobody has said how the drive is protected, and a planned '
                .'change would trip a chip-bound one.'], ['assume that it is not encrypted' => ['If it is, the '
                .'machine stops at the recovery prompt.']]],
        };

        return new Decision('assess.encryption', 'Drive encryption', $chosen, [...$because, ...$read, $read !== [] && $protection === Protection::Unknown ? 'State: encrypted, protection unknown.' : "State: {$protection->title()}."], $refused, array_values(array_filter(["drive.encryption = {$protection->value}", $protection->mayAskForKey() ? "binding: {$binding->title()}" : null, $intent->triggers === [] ? null : 'planned: '.implode(', ', array_map(static fn (Trigger $trigger): string => $trigger->title(), $intent->triggers))])), 'A7');
    }

    /** @return array{0: string, 1: list<string>, 2: array<string, list<string>>} chosen, because, refused */
    private static function comesOut(Protection $protection, EncryptionIntent $intent, ?bool $key): array
    {
        $untouched = 'The drive comes out untouched and stays the way back.';
        $elsewhere = 'Outside this machine its data is read only with its recovery key or passphrase';

        return match (true) {
            ! $intent->somethingToKeep => ['nothing to decrypt: the drive comes out', [$untouched, 'Nothing on it '
                .'has to be carried over.'], []],
            $protection === Protection::Unknown => ['its protection '
                .'first', [$untouched, 'Nobody has said how it is protected, and a protected drive cannot be read '
                .'elsewhere without its key.'], ['assume that it is not encrypted' => ['If it is, its data could '
                .'not be carried over.']]],
            $key === null => ['its key first', [$untouched, "{$elsewhere}, and nobody has said whether the owner "
                .'has it.'], ['take it out and see' => ['It would have to go back in to be decrypted.']]],
            $key => ['nothing to decrypt: its key goes '
                .'along', [$untouched, "{$elsewhere}; the owner has it."], ['decrypt first' => ['Hours of work that '
                .'the key spares.']]],
            default => ['decrypt before it comes out', ["{$elsewhere}, and nobody has it: the old system, which "
                .'still opens the drive, decrypts it first.'], ['take it out first' => ['Its data could not be '
                .'carried over.']]],
        };
    }
}
