<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;

/** The stone in which a system updates itself (rule J2). */
final class UpdatesStep
{
    /**
     * @param  string  $besides  what is minded besides starting it
     * @param  string  $because  why it comes where it comes
     * @param  list<string>  $usual  what looks like standing still, and is not
     * @param  list<BootEvent>  $boots  restarts that are part of it
     */
    public static function of(
        UpdatePace $pace,
        string $besides,
        string $because,
        array $usual,
        int $restarts = 1,
        array $boots = [],
    ): Step {
        return new Step(
            'updates.system',
            Stage::Updates,
            'System updates',
            Presence::WalkAway,
            $pace->estimate(),
            ['Start the update, let it restart as often as it wants.', $besides],
            before: [PathFact::ONLINE],
            after: [PathFact::UPDATED],
            needs: ['network', 'power'],
            acts: [Act::WriteSystem],
            done: DoneWords::of('System updates were installed'),
            because: [new Reason($because, 'J2', $pace->system->dated()), $pace->because()],
            waiting: new Waiting($usual, 'Restart once and look again.', $restarts),
            boots: $boots,
        );
    }
}
