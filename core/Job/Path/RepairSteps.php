<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Catalogue\Rung;
use Cobblestone\Job\WhichMachine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;

/** The stones of one rung of the ladder, and what tells how it ended. */
final class RepairSteps
{
    /** The way that changes what the machine itself may take from then on: nothing on it is taken back (rule U9). */
    public const CHANNEL = 'channel';

    /** @return list<GatherItem> */
    public static function gather(Rung $rung): array
    {
        $items = [new GatherItem('wired keyboard and pointer', 'radio ones and touch may not work in recovery')];
        if ($rung->id === 'hardware') {
            $items[] = new GatherItem('screwdriver and a tray', 'it may have to be opened');
            $items[] = new GatherItem('memory module known good', 'for the memory sheet');
        }

        return $items;
    }

    /**
     * @param  list<\Cobblestone\Runbook\Gate>  $gates
     * @param  list<string>  $waits
     * @return list<Step>
     */
    public static function rungSteps(Rung $rung, array $gates, array $waits, WhichMachine $which): array
    {
        $steps = [];
        $before = [PathFact::OWNER_AGREED, PathFact::MACHINE_IDENTIFIED, PathFact::GATHERED, ...$waits];
        foreach ($rung->steps as $index => $entry) {
            $after = "route.{$rung->id}-{$index}";
            $restarts = $entry->restarts ?? 0;
            $presence = Presence::from($entry->presence);
            $steps[] = new Step($after, Stage::Install, $entry->title, $presence, $entry->estimate(), $entry->do,
                before: $before,
                after: [$after],
                needs: $presence === Presence::Hands ? ['hands', 'slot'] : ['slot', 'power'],
                acts: [$rung->writes ? Act::Repair : Act::OpenMachine],
                gates: $gates,
                confirmation: $rung->id === self::CHANNEL && $index === 0
                    ? $which->confirmation('the way back to the channel it is on, where the other one is newer')
                    : null,
                because: [new Reason("{$rung->title}: the gentlest way that can work on what is "
                    .'known.',
                    'A3')], cautions: $entry->cautions, done: DoneWords::in(SheetPart::Repair, "{$entry->title}."),
                waiting: $presence === Presence::Hands
                    && $restarts === 0
                        ? null
                        : new Waiting(
                            ['it stands still for minutes'],
                            'Wait the same time once more; then note a problem.',
                            $restarts,
                        ));
            $before = [$after];
        }

        return $steps;
    }

    public static function result(Rung $rung): Step
    {
        $last = count($rung->steps) - 1;

        return new Step('route.result', Stage::Install, 'Did it help?', Presence::Hands, Estimate::minutes(1, 3, 10),
            [
                'Start twice and try what was wrong.',
                'It did not help: do not lay this stone. On the job\'s page mark the way as tried; the path is then '
                    .'computed with the next gentlest.',
            ],
            before: $last >= 0 ? ["route.{$rung->id}-{$last}"] : [PathFact::OWNER_AGREED, PathFact::MACHINE_IDENTIFIED],
            after: [PathFact::REPAIR_DONE],
            needs: ['hands'],
            done: DoneWords::in(
                SheetPart::Repair,
                'The fault was looked for twice in a row, and is gone.',
                'what_helped',
            ),
            because: [new Reason('A repair counts once the fault is gone twice in a row.', 'A3')],
            evidence: [
                new Evidence('helped', 'The fault', 'choice', ['gone' => 'is gone, twice in a row']),
                new Evidence('what_helped', 'What it was', 'text'),
            ],
            boots: [BootEvent::change(['target' => 'repaired']), BootEvent::start(Wants::System)]);
    }
}
