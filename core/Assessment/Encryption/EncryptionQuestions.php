<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Encryption;

use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Partition;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Question;

/** What has to be known of a drive's protection before it is touched (rule A7). */
final readonly class EncryptionQuestions
{
    /** The fact that says whether a volume is encrypted whose word nobody knows. */
    public const UNTOLD = 'volume.untold_encrypted';

    public function __construct(
        private Protection $protection,
        private Binding $binding,
        private EncryptionBranch $branch,
        private EncryptionIntent $intent,
    ) {
    }

    /**
     * @param  list<string>  $read  what a reading says of the drive
     * @return list<Question>
     */
    public function of(Machine $machine, ?Drive $drive, array $read): array
    {
        $untold = $drive?->untold() ?? [];
        if ($untold !== [] && $this->protection === Protection::Unknown) {
            return $this->matters() ? [$this->untold($untold)] : [];
        }
        $keyUnknown = $machine->fact('encryption.key')->isUnknown();
        $suspends = $this->branch === EncryptionBranch::SuspendAndResume;

        return array_values(array_filter([
            $this->asksHow() ? $this->howProtected($read !== []) : null,
            $suspends && $keyUnknown ? self::keyAtHand() : null,
            $this->leavesWithData() && $keyUnknown ? self::keyElsewhere() : null,
            $suspends && $this->prompts() ? self::bound() : null,
        ]));
    }

    private function asksHow(): bool
    {
        return $this->protection === Protection::Unknown && $this->matters();
    }

    private function matters(): bool
    {
        return $this->branch === EncryptionBranch::Ask ||
            (! $this->intent->staysAfter && $this->intent->somethingToKeep);
    }

    /**
     * What a volume is comes before how it is protected.
     *
     * @param  non-empty-list<Partition>  $untold
     */
    private function untold(array $untold): Question
    {
        $names = array_map(
            static fn (Partition $one): string => "the volume of {$one->size->binary()} that the reading calls "
                ."\"{$one->fileSystem}\"",
            $untold,
        );
        $decides = 'whether a key is wanted before anything on this drive changes';
        $asked = FactQuestion::about(self::UNTOLD, $decides, 'A7, U3', 61, [...$this->shutWhileUnknown(), Act::Erase]);

        return $asked->worded(FactQuestion::text(self::UNTOLD, ['volume' => implode(' and ', $names)]));
    }

    private function leavesWithData(): bool
    {
        return $this->branch === EncryptionBranch::ComesOut &&
            $this->intent->somethingToKeep &&
            $this->protection !== Protection::Unknown;
    }

    /** Whether what is planned can bring up the prompt, and nobody knows what it is bound to. */
    private function prompts(): bool
    {
        return $this->protection->mayAskForKey() &&
            $this->protection !== Protection::Unknown &&
            $this->intent->staysAfter &&
            $this->binding === Binding::Unknown;
    }

    /** A reading that found a lock leaves "not encrypted" out of the answers. */
    private function howProtected(bool $lockRead): Question
    {
        $decides = match (true) {
            $this->intent->staysAfter => 'whether what is planned makes the old system ask for its recovery key',
            $this->intent->comesOut() => 'whether its data can be read once it is out of this machine',
            default => 'whether a firmware change could lock the old system before the backup is proven',
        };
        $until = $this->intent->staysAfter || $this->intent->comesOut() ? [] : [Act::Erase];
        $asked = FactQuestion::about('drive.encryption', $decides, 'A7', 60, $this->shutWhileUnknown(), $until);

        return $lockRead ? $asked->offering(array_diff_key($asked->options, ['none' => 1])) : $asked;
    }

    private static function keyAtHand(): Question
    {
        $decides = 'whether protection may be suspended at all: without the key a slip locks the drive for good';

        return FactQuestion::about('encryption.key', $decides, 'A7', 70);
    }

    private static function keyElsewhere(): Question
    {
        $shuts = [Act::OpenMachine, Act::FitPart];
        $asked = FactQuestion::about('encryption.key', 'whether it is decrypted before it comes out', 'A7', 70, $shuts);

        return $asked->worded('Has the owner what unlocks this drive elsewhere, its recovery key or passphrase?');
    }

    private static function bound(): Question
    {
        $decides = 'which changes bring up the prompt; until then the wider binding is assumed';

        return FactQuestion::about('encryption.binding', $decides, 'A7', 20);
    }

    /**
     * What must not be done while nobody has said how the drive is protected.
     *
     * @return list<Act>
     */
    private function shutWhileUnknown(): array
    {
        return match (true) {
            $this->intent->staysAfter => [
                Act::ChangeOldSystem,
                Act::ChangeSettings,
                Act::WriteFirmware,
                Act::OpenMachine,
                Act::FitPart,
                Act::StartMedium,
                Act::WriteSystem,
                Act::Repair,
            ],
            $this->intent->comesOut() => [Act::OpenMachine, Act::FitPart],
            default => [],
        };
    }
}
