<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;

/** The second start from the stick, where an installer wants one before it copies (rule I5). */
final class StartAgain
{
    /**
     * @param  string  $fact  that holds then
     * @param  string  $after  the phase whose restart it is
     */
    public static function step(string $fact, string $after, SystemProfile $system): Step
    {
        return new Step(
            'install.start-again',
            Stage::Install,
            'Start from the stick again',
            Presence::Hands,
            Estimate::minutes(1, 2, 6),
            [
                'The stick stays in. At the restart open the one-time menu as before, and pick the same line.',
                'Without it the machine tries the drive, on which no system is yet.',
            ],
            before: [$after],
            after: [$fact],
            needs: ['hands', 'stick', 'slot', 'power'],
            acts: [Act::StartMedium],
            because: [
                new Reason(
                    'The installer starts twice from the stick: once to lay out the drive, once to copy.',
                    'I5',
                    $system->dated(),
                ),
            ],
            waiting: new Waiting(['a dark screen for half a minute'], 'Power off fully, then the menu once more.', 1),
            boots: [BootEvent::start(Wants::Installer, BootEvent::BY_MENU)],
        );
    }
}
