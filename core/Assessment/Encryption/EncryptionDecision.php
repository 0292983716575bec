<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Encryption;

use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Text\Counted;

/** What is done about a drive's encryption, why, and what was refused (rule A7). */
final readonly class EncryptionDecision
{
    /**
     * @param  bool  $waits  whether firmware settings may change only once the backup is settled
     * @param  bool|null  $key  whether somebody has the recovery key; null while nobody has said
     */
    public function __construct(
        private Protection $protection,
        private Binding $binding,
        private EncryptionBranch $branch,
        private EncryptionIntent $intent,
        private bool $waits,
        private ?bool $key,
    ) {
    }

    /** @param  list<string>  $read  what a reading of the drive says of it */
    public function of(array $read): Decision
    {
        [$chosen, $because, $refused] = $this->chosen();
        $state = $read !== [] && $this->protection === Protection::Unknown
            ? 'State: encrypted, protection unknown.'
            : "State: {$this->protection->title()}.";

        return new Decision(
            'assess.encryption',
            'Drive encryption',
            $chosen,
            [...$because, ...$read, $state],
            array_map(static fn (string $why): array => [$why], $refused),
            $this->facts(),
            'A7',
        );
    }

    public function blocker(): Blocker
    {
        $facts = ["drive.encryption = {$this->protection->value}", 'encryption.key = no'];

        return Blocker::stop('recovery-key', $this->stop(), 'A7', Door::fact(
            'encryption.key',
            'Once the owner has the key, say so.',
            'yes',
        ), $facts, [Act::CopyData]);
    }

    /** @return list<string> */
    private function facts(): array
    {
        $planned = array_map(static fn (Trigger $trigger): string => $trigger->title(), $this->intent->triggers);

        return array_values(array_filter([
            "drive.encryption = {$this->protection->value}",
            $this->protection->mayAskForKey() ? "binding: {$this->binding->title()}" : null,
            $planned === [] ? null : 'planned: '.implode(', ', $planned),
        ]));
    }

    /** @return array{0: string, 1: list<string>, 2: array<string, string>} chosen, because, refused */
    private function chosen(): array
    {
        return match ($this->branch) {
            EncryptionBranch::NotEncrypted => ['none', ['There is no encrypted volume on this drive.'], []],
            EncryptionBranch::KeyInClear => [
                'nothing to do: the key is in clear',
                [
                    'It is encrypted without a protector, so no recovery key exists yet and nothing can ask for one. '
                        .'That is the evidence.',
                ],
                ['look for a recovery key' => 'There is none.'],
            ],
            EncryptionBranch::FirmwareDoesNotMatter => [
                'nothing to do: a passphrase',
                ['A passphrase is asked at every start anyway; firmware changes do not matter to it.'],
                ['suspend protection' => 'There is nothing that a firmware change could trip.'],
            ],
            EncryptionBranch::NothingTouchesIt => [
                'nothing to do',
                ['It is bound to the security chip, but nothing on this path touches what it is bound to.'],
                ['suspend protection' => 'It would only be weaker for a while.'],
            ],
            EncryptionBranch::SuspendAndResume => $this->suspended(),
            EncryptionBranch::ErasedAnyway => $this->erased(),
            EncryptionBranch::ComesOut => $this->comesOut(),
            EncryptionBranch::Stop => ['stop', [$this->stop()], ['go on' => 'It could not be undone.']],
            EncryptionBranch::Ask => [
                'ask first',
                ['Nobody has said how the drive is protected, and a planned change would trip a chip-bound one.'],
                ['assume that it is not encrypted' => 'If it is, the machine stops at the recovery prompt.'],
            ],
        };
    }

    /** @return array{0: string, 1: list<string>, 2: array<string, string>} */
    private function suspended(): array
    {
        return [
            'suspend over '.Counted::of(max(1, $this->intent->restarts), 'restart').', then resume',
            [
                'The old system stays, and a planned change would ask for its recovery key.',
                'The key is in hand first: suspending can fail.',
            ],
            [
                'decrypt first' => 'Hours of work, and it has to be encrypted again.',
                'just go on' => 'The machine would stop at the recovery prompt.',
            ],
        ];
    }

    /** @return array{0: string, 1: list<string>, 2: array<string, string>} */
    private function erased(): array
    {
        return [
            'nothing to decrypt: the drive is erased',
            [
                match (true) {
                    ! $this->intent->somethingToKeep => 'The drive is erased, and nothing on it has to be kept.',
                    $this->waits => 'The drive is erased once its backup is verified or waived; until then no '
                        .'firmware setting is touched, because a changed setting could ask the old system for its '
                            .'recovery key.',
                    default => 'The drive is erased after its backup, and a firmware change does not lock it.',
                },
                'The stick is started by the one-time menu, so that the old system is not started in between.',
            ],
            [
                'decrypt first' => 'Hours of work on data that is erased afterwards.',
                'suspend protection' => 'Needed only where the old system stays.',
            ],
        ];
    }

    /** @return array{0: string, 1: list<string>, 2: array<string, string>} */
    private function comesOut(): array
    {
        $untouched = 'The drive comes out untouched and stays the way back.';
        $elsewhere = 'Outside this machine its data is read only with its recovery key or passphrase';

        return match (true) {
            ! $this->intent->somethingToKeep => [
                'nothing to decrypt: the drive comes out',
                [$untouched, 'Nothing on it has to be carried over.'],
                [],
            ],
            $this->protection === Protection::Unknown => [
                'its protection first',
                [
                    $untouched,
                    'Nobody has said how it is protected, and a protected drive cannot be read elsewhere without its '
                        .'key.',
                ],
                ['assume that it is not encrypted' => 'If it is, its data could not be carried over.'],
            ],
            $this->key === null => [
                'its key first',
                [$untouched, "{$elsewhere}, and nobody has said whether the owner has it."],
                ['take it out and see' => 'It would have to go back in to be decrypted.'],
            ],
            $this->key => [
                'nothing to decrypt: its key goes along',
                [$untouched, "{$elsewhere}; the owner has it."],
                ['decrypt first' => 'Hours of work that the key spares.'],
            ],
            default => [
                'decrypt before it comes out',
                ["{$elsewhere}, and nobody has it: the old system, which still opens the drive, decrypts it first."],
                ['take it out first' => 'Its data could not be carried over.'],
            ],
        };
    }

    private function stop(): string
    {
        return $this->intent->staysAfter
            ? 'The drive is bound to the security chip, what is planned would ask for its recovery key, and nobody '
                .'has it. Find the key with the owner first; without it nothing here may be changed.'
            : 'The drive is encrypted, the old system does not start, nobody has the recovery key, and data on it is '
                .'wanted: it cannot be copied. Find the key with the owner, or have the owner give the data up in '
                    .'writing.';
    }
}
