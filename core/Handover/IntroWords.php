<?php

declare(strict_types=1);

namespace Cobblestone\Handover;

use Cobblestone\Runbook\JobKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Progress;

/** The first sentence of the owner's sheet: what it is, and what it was here for. */
final class IntroWords
{
    public static function of(Progress $progress): string
    {
        $job = $progress->plan->job;
        $goal = $job->kind;
        $system = trim(($job->system ?? 'a system')." {$job->edition}");
        $machine = "{$job->machine}, for {$job->owner}.";
        $written = in_array(PathFact::SYSTEM_INSTALLED, $progress->facts(), true);
        $carries = $written ? "It now carries {$system}" : "It is to carry {$system}";
        // A sealed machine that is revived keeps its system; one that is restored gets it anew.
        $revives = $progress->plan->step('install.revive') !== null;

        return match (true) {
            $goal === JobKind::MediaOnly => 'A stick'.
                ($job->stick === null ? '' : ", {$job->stick},").
                (in_array(PathFact::STICK_PROVEN, $progress->facts(), true) ? '' : ' that is to be made').
                ' with '.
                ($job->image ?? $system).
                ' for '.
                ($job->machineKind === 'any' ? 'any machine that it fits' : "a {$job->machine}").
                ", made for {$job->owner}.",
            $goal === JobKind::CleanInstall => "{$machine} {$carries}, installed fresh.",
            $goal === JobKind::DriveSwap => "{$machine} {$carries}, installed fresh on a new drive.",
            $goal === JobKind::FirstPowerOn => "{$machine} It is a new build. {$carries}.",
            $goal === JobKind::FactoryRestore => "{$machine} {$carries}, as its maker delivered it.",
            $goal === JobKind::CableRestore && ! $revives => "{$machine} {$carries}, restored over a cable.",
            $goal === JobKind::CableRestore => "{$machine} It was here to be revived over a cable; your data was "
                .'meant to stay.',
            $goal === JobKind::FirmwareUpdate => "{$machine} It was here to have its firmware updated; programs and "
                .'files were not touched.',
            $goal === JobKind::CardSwap => "{$machine} It was here to get another graphics card; programs and files "
                .'were meant to stay.',
            $goal === JobKind::Repair => "{$machine} It was here to be repaired in place.",
            default => "{$machine} It was here to be upgraded to {$system}; programs and files were meant to stay.",
        };
    }
}
