<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Install\TargetDrive;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Partition;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** Drive encryption before a wipe: known, unknown, or erased anyway (the part of rule A7 that a wipe needs). */
final readonly class EncryptionAssessment
{
    public const STATES = [
        'none' => 'not encrypted',
        'key-in-clear' => 'encrypted, with the key still in clear',
        'chip' => 'protected by the security chip',
        'chip-and-pin' => 'protected by chip and PIN',
        'passphrase' => 'protected by a passphrase',
    ];

    /** @param  bool  $firmwareWaits whether firmware settings may change only once the backup is settled */
    private function __construct(public string $state, public bool $firmwareWaits, public Contribution $contribution)
    {
    }

    public static function assess(Machine $machine, TargetDrive $target, bool $somethingToKeep): self
    {
        $state = self::state($machine, $target->drive);
        $known = isset(self::STATES[$state]);
        $waits = $somethingToKeep && ! in_array($state, ['none', 'key-in-clear', 'passphrase'], true);
        $questions = $known || ! $somethingToKeep ? [] : [new Question('drive.encryption', 'How is the present drive protected?', self::STATES, 'whether a firmware change could lock the old system before the backup is proven', 'A7', 60)];
        $others = self::encryptedOthers($target->others);

        return new self($state, $waits, new Contribution(
            steps: array_map(self::keyOf(...), $others),
            decisions: [self::decision($state, $waits, $somethingToKeep)],
            questions: $questions,
        ));
    }

    /** @return list<string> facts that the erasing step waits for besides its gate */
    public function erasingWaitsFor(): array
    {
        return array_merge(...array_map(static fn (Step $step): array => $step->after, $this->contribution->steps), ...[[]]);
    }

    private static function state(Machine $machine, ?Drive $drive): string
    {
        if ($drive?->isBlank() === true) {
            return 'none';
        }
        $fact = $machine->fact('drive.encryption');
        if (is_string($fact->value) && isset(self::STATES[$fact->value])) {
            return $fact->value;
        }

        return 'unknown';
    }

    private static function decision(string $state, bool $waits, bool $somethingToKeep): Decision
    {
        $because = match (true) {
            $state === 'none' => ['There is no encrypted volume on the drive that is erased.'],
            ! $somethingToKeep => ['The drive is erased, and nothing on it has to be kept.'],
            $waits => ['The drive is erased once its backup is verified or waived; until then no firmware setting is touched, because a changed setting could ask the old system for its recovery key.'],
            default => ['The drive is erased after its backup, and a firmware change does not lock it.'],
        };

        return new Decision('assess.encryption', 'Drive encryption', $state === 'none' ? 'none' : 'nothing to decrypt: the drive is erased', [...$because, 'State: '.(self::STATES[$state] ?? 'unknown').'.'],
            $state === 'none' ? [] : ['decrypt first' => ['Hours of work on data that is erased afterwards.'], 'suspend protection' => ['Needed only where the old system stays.']],
            ["drive.encryption = {$state}"], 'A7');
    }

    /**
     * @param  list<Drive>  $others
     * @return list<Drive>
     */
    private static function encryptedOthers(array $others): array
    {
        return array_values(array_filter($others, static fn (Drive $drive): bool => array_filter($drive->partitions, static fn (Partition $partition): bool => $partition->encrypted) !== []));
    }

    private static function keyOf(Drive $drive): Step
    {
        return new Step("protect.key-{$drive->path}", Stage::Protect, "Key for {$drive->path}", Presence::Hands, Estimate::minutes(1, 3, 15),
            ["{$drive->title()} stays, and it is encrypted. Its key may be kept by the system that is about to be erased.", 'Ask the owner where the key is kept and try it once. Do not write the key itself down here.'],
            after: ["encryption.key-{$drive->path}"], needs: ['hands'],
            because: [new Reason('An encrypted volume that stays needs its own key before the system drive is erased.', 'A7', 'reading of '.$drive->path)],
            evidence: [new Evidence('key_kept', 'Where the owner keeps the key', 'text')],
        );
    }
}
