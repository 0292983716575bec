<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Encryption;

use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** The owner's recovery key in hand before something may ask for it (rule A7). */
final class RecoveryKey
{
    /** The key at hand for a system whose own recovery tools will ask for it. */
    public static function forRecovery(Machine $machine): Step
    {
        return self::atHand(
            $machine,
            'recovery tools ask for it before they show the drive',
            'its recovery tools start from another loader',
        );
    }

    /** The key at hand for a start in safe mode, which goes another way than the usual one. */
    public static function forSafeMode(Machine $machine): Step
    {
        return self::atHand(
            $machine,
            'a start in safe mode may ask for it',
            'a start in safe mode goes another way than the usual one',
        );
    }

    /** @return list<string> facts that hold with a key in hand, where one of the steps sees to it */
    public static function inHand(Step ...$steps): array
    {
        $sees = array_filter(
            $steps,
            static fn (Step $step): bool => in_array(PathFact::KEY_IN_HAND, $step->after, true),
        );

        return $sees === [] ? [] : [PathFact::KEY_IN_HAND];
    }

    /**
     * @param  string  $fetch  why now, from its colon on; empty where the reason beside it says so
     * @param  string  $compare  what is done with the key, and what is written down
     */
    public static function step(string $fetch, string $compare, Reason $because): Step
    {
        return new Step(
            'protect.recovery-key',
            Stage::Protect,
            'Recovery key in hand',
            Presence::Hands,
            Estimate::minutes(1, 4, 20),
            ["Ask the owner where the recovery key is kept, and have them fetch it now{$fetch}.", $compare],
            before: [PathFact::TAKEN_IN],
            after: [PathFact::KEY_IN_HAND],
            needs: ['hands'],
            because: [$because],
            evidence: [new Evidence('key_kept', 'Where the owner keeps the key', 'text')],
        );
    }

    private static function atHand(Machine $machine, string $asks, string $why): Step
    {
        return self::step(
            ": {$asks}",
            'Write down where it is kept, not the key.',
            new Reason(
                "The drive may be bound to the security chip; {$why}.",
                'A7',
                $machine->fact('drive.encryption')->origin,
            ),
        );
    }
}
