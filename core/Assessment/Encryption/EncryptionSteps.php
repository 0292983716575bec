<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Encryption;

use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\LookedAt;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;
use Cobblestone\Text\Counted;

/** The stones around encrypted volumes: the key in hand, suspended, resumed, and keys of what stays (rule A7). */
final class EncryptionSteps
{
    /** @return list<Step> */
    public static function suspend(Machine $machine, ?Drive $drive, Binding $binding, EncryptionIntent $intent): array
    {
        $restarts = max(1, $intent->restarts);
        $biting = array_values(
            array_filter($intent->triggers, static fn (Trigger $trigger): bool => $trigger->bites($binding)),
        );
        $because = new Reason(
            'Planned: '.
                implode(', ', array_map(static fn (Trigger $trigger): string => $trigger->title(), $biting)).
                ". Bound to: {$binding->title()}.",
            'A7',
            $machine->fact('drive.encryption')->origin,
        );

        return [
            RecoveryKey::step(
                '',
                'Compare the name of the key with the one the drive shows. Write down where it is kept, not the key.',
                $because,
            ),
            self::suspending($restarts, $because, $drive),
            self::resuming(),
        ];
    }

    private static function suspending(int $restarts, Reason $because, ?Drive $drive): Step
    {
        $often = $restarts === 1 ? 'once' : "{$restarts} times";

        return new Step(
            'protect.suspend',
            Stage::Protect,
            'Suspend protection',
            Presence::Hands,
            Estimate::minutes(1, 3, 8),
            [
                'Suspend the drive\'s protection for at least '.Counted::of($restarts, 'restart')
                    .', or until it is resumed by hand.',
                'Read its state: it must say that protection is suspended, not that it is decrypting.',
            ],
            before: [PathFact::KEY_IN_HAND],
            after: [PathFact::ENCRYPTION_SETTLED],
            needs: ['hands'],
            done: DoneWords::of('The drive\'s protection was suspended for the work'),
            acts: [Act::ChangeOldSystem],
            because: [
                $because,
                new Reason("The path restarts the old system {$often} before protection is resumed.", 'A7'),
            ],
            cautions: [
                'While it is suspended, whoever starts the machine can read the drive. Do not leave it unattended '
                    .'for long.',
            ],
            opens: [
                new PutBack(
                    'protection-suspended',
                    'Drive protection suspended'.($drive === null ? '' : " on {$drive->title()}"),
                    'A planned change would have asked for the recovery key.',
                    'put-back.resume',
                ),
            ],
            boots: [BootEvent::change(['encryption' => "suspended {$restarts}"])],
        );
    }

    private static function resuming(): Step
    {
        return new Step(
            'put-back.resume',
            Stage::PutBack,
            'Resume protection',
            Presence::Hands,
            Estimate::minutes(1, 2, 6),
            [
                'Resume the drive\'s protection and read its state: on.',
                'Restart once: it must start without asking for the key.',
            ],
            before: [PathFact::PROVEN, PathFact::ENCRYPTION_SETTLED],
            after: [PathFact::putBack('protection-suspended')],
            needs: ['hands'],
            done: DoneWords::of('The drive\'s protection was resumed'),
            acts: [Act::ChangeOldSystem],
            because: [new Reason('It was suspended only for the job.', 'J4, A7')],
            evidence: [LookedAt::as(
                'Its state reads on, and it started without asking for the key',
                'Resume it once more, and restart. A key that is asked for again: look which setting is not as it was.',
            )],
            boots: [BootEvent::change(['encryption' => 'resumed']), BootEvent::start(Wants::System)],
        );
    }

    /**
     * @param  list<Drive>  $drives  encrypted, and staying
     * @return list<Step>
     */
    public static function keysOf(array $drives): array
    {
        return array_map(
            static fn (Drive $drive): Step => new Step(
                "protect.key-{$drive->path}",
                Stage::Protect,
                "Key for {$drive->path}",
                Presence::Hands,
                Estimate::minutes(1, 3, 15),
                [
                    "{$drive->title()} stays, and it is encrypted. Its key may be kept by the system that is about "
                        .'to be erased.',
                    'Ask the owner where the key is kept and try it once. Do not write the key itself down here.',
                ],
                after: ["encryption.key-{$drive->path}"],
                needs: ['hands'],
                because: [
                    new Reason(
                        'An encrypted volume that stays needs its own key before the system drive is erased.',
                        'A7',
                        'reading of '.$drive->path,
                    ),
                ],
                evidence: [new Evidence('key_kept', 'Where the owner keeps the key', 'text')],
            ),
            $drives,
        );
    }

    /** Decrypting a drive that moves to another machine; it is finished at 100 %, not at "protection off". */
    public static function decrypt(Drive $drive, float $megabytesPerSecond, Bytes $done): Step
    {
        return new Step(
            'protect.decrypt',
            Stage::Protect,
            'Decrypt the drive',
            Presence::WalkAway,
            Estimate::around(DataRate::megabytes($megabytesPerSecond)->timeFor($drive->size->minus($done))),
            [
                $done->count > 0
                    ? "It runs already: {$done->decimal()} of {$drive->size->decimal()} are done."
                    : 'Turn the protection of the drive off and let it decrypt.',
                'Wait until it says 100 % decrypted. "Protection off" comes long before and is not enough.',
            ],
            after: [PathFact::DECRYPTED],
            needs: ['slot', 'power'],
            done: DoneWords::in(SheetPart::Drive, 'The drive was decrypted.'),
            acts: [Act::ChangeOldSystem],
            because: [
                new Reason(
                    "{$drive->size->minus(
                        $done,
                    )->decimal()} at about {$megabytesPerSecond} MB/s; elsewhere it could not be read without its key.",
                    'A7',
                    $drive->title(),
                ),
            ],
            evidence: [new Evidence('decrypted', 'Decrypted', EvidenceKind::Percent, least: 100)],
            boots: [BootEvent::change(['encryption' => 'none'])],
            waiting: new Waiting(
                ['the percentage moves slowly and unevenly'],
                'Is the machine asleep? Decrypting stops while it sleeps.',
            ),
        );
    }
}
