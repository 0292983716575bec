<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Fact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;

/** The first answers, the network, the updates and the licence, as the profile gives them (rule I4 as far as a sheet to read from goes). */
final class FirstBoot
{
    /**
     * @param  list<string>  $offline  facts of driver packages that come before the network
     * @param  bool  $cable  whether the machine can go online by cable
     */
    public static function plan(SystemProfile $system, array $offline, bool $cable): Contribution
    {
        $steps = [
            new Step('first-boot.answers', Stage::FirstBoot, 'First boot', Presence::Hands, $system->estimate('first_boot'),
                ['Answer from this sheet. The owner types their own password later; nobody stores it.'],
                before: [Fact::SYSTEM_INSTALLED], after: [Fact::FIRST_BOOT_DONE], needs: ['hands'],
                because: [new Reason('These are the questions this system asks and what the bench answers.', 'I4', $system->dated())],
                rows: array_map(static fn (array $row): array => ['asked' => $row['ask'], 'answer' => $row['answer']], $system->entry['first_boot']['rows']),
            ),
            new Step('network.online', Stage::Network, 'Get online', Presence::Hands, Estimate::minutes(1, 2, 10),
                [$cable ? 'Plug in the network cable, or join the bench\'s wireless network.' : 'Join the bench\'s wireless network.', 'Open one page to see that it answers.'],
                before: [Fact::FIRST_BOOT_DONE, ...$offline], after: [Fact::ONLINE], needs: ['hands', 'network'],
                because: [new Reason($offline === [] ? 'The system brings the driver of this network adapter.' : 'The network adapter works now: its driver came from the stick.', 'D5')],
            ),
            new Step('updates.system', Stage::Updates, 'System updates', Presence::WalkAway, $system->estimate('updates'),
                ['Start the update, let it restart as often as it wants.', 'Look for updates once more: it must find none.'],
                before: [Fact::ONLINE], after: [Fact::UPDATED], needs: ['network', 'power'],
                because: [new Reason('Updates come before drivers that depend on them.', 'J2', $system->dated())],
                waiting: new Waiting(['the same percentage twice', 'a restart in between'], 'Restart once and look again.', $system->entry['updates']['restarts'] ?? 1),
            ),
        ];
        if ($system->entry['activation'] ?? false) {
            $steps[] = new Step('activation.check', Stage::Activation, 'Activate', Presence::Hands, Estimate::minutes(0.5, 2, 15),
                ['Open the page that shows edition and activation: the edition must be the one of this job.', 'Not active? Edition first, then the key, then the network.'],
                before: [Fact::ONLINE], after: [Fact::ACTIVATED], needs: ['hands', 'network'],
                because: [new Reason("{$system->name} is licensed per machine.", 'A8', $system->dated())],
                cautions: ['Install only what the owner is entitled to.'],
            );
        }

        return new Contribution($steps);
    }
}
