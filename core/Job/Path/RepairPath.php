<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Encryption\RecoveryKey;
use Cobblestone\Assessment\Requirements;
use Cobblestone\Assessment\Route\RouteAdvice;
use Cobblestone\Assessment\Route\RouteLadder;
use Cobblestone\Assessment\Route\WeighedRung;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Assessment\SupportEnds;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\Rung;
use Cobblestone\Findings\Findings;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\WhichMachine;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\PathFact;

/**
 * Repair in place by the gentlest rung that can work; what did not help is marked as tried and the path computed
 * again (rules J1, A3).
 */
final class RepairPath
{
    public static function draft(JobContext $context): PathDraft
    {
        $machine = $context->machine;
        $drive = count($machine->internalDrives()) === 1 ? $machine->internalDrives()[0] : null;
        $protection = RepairParts::safeguards($context, $drive);
        $requirements = RepairParts::requirements($machine, $context, $drive);
        $ladder = RouteLadder::of(
            $context->catalogue->routes()
                ?? throw BriefFault::at('goal', 'the catalogue holds no route ladder to repair by.'),
        );
        $known = LadderFacts::of($context, $protection, $requirements->fit, $context->system());
        $advice = $ladder->recommend($known);
        $rung = self::rung($ladder, $advice);
        $questions = RepairParts::questions($ladder, $known);
        $gates = $rung->writes ? $protection->backup->gates : [];
        $medium = RepairParts::media($rung, $context, $machine);
        $media = $medium->contribution ?? new Contribution;
        $key = $protection->encryption->protection->asksForKey()
            && $rung->id !== 'hardware' ? [RecoveryKey::forRecovery($machine)] : [];
        $all = RepairParts::contributions($rung, $protection, $key, $media, $advice, $questions);
        $which = new WhichMachine($machine, $context->brief->owner);
        if ($rung->id === RepairSteps::CHANNEL) {
            $all = $all->and(new Contribution(questions: $which->questions([Act::Repair])));
        }
        $steps = [
            ...RepairParts::first($machine, $drive, $context, $rung, $protection),
            IntakeSteps::gather($all->gather),
            ...$all->steps,
            ...RepairSteps::rungSteps($rung, $gates, [
                ...($media->steps === [] ? [] : [PathFact::STICK_PROVEN]),
                ...($key === [] ? [] : [PathFact::KEY_IN_HAND]),
            ], $which),
            RepairSteps::result($rung),
            RepairParts::proof($machine, $context),
        ];

        return new PathDraft(
            $all->withSteps($steps),
            self::found($context, $protection, $requirements, $advice),
            stick: $medium?->stick?->name,
            medium: $medium === null ? null : $context->wanted($medium),
        );
    }

    private static function found(
        JobContext $context,
        Safeguards $protection,
        Requirements $requirements,
        RouteAdvice $advice,
    ): Findings {
        return new Findings(
            ...$protection->found(),
            requirements: $requirements->found(),
            route: $advice->found(),
            support: [SupportEnds::of($context->system(), $context->today())],
        );
    }

    /**
     * The recommended rung; while more has to be known, the gentlest that is still possible, never silently a harsher
     * one.
     */
    private static function rung(RouteLadder $ladder, RouteAdvice $advice): Rung
    {
        foreach ($advice->ladder as $row) {
            if (in_array($row->standing, [WeighedRung::POSSIBLE, WeighedRung::RECOMMENDED], true)) {
                return $ladder->rung($row->id) ?? throw BriefFault::at('goal', 'the ladder has lost a rung.');
            }
        }

        return $ladder->rung($advice->ladder[0]->id) ?? throw BriefFault::at('goal', 'the ladder is empty.');
    }
}
