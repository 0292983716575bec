<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Assessment\Licence;
use Cobblestone\Assessment\Ownership;
use Cobblestone\Assessment\Requirements;
use Cobblestone\Assessment\SupportEnds;
use Cobblestone\Brief\LicenceBlock;
use Cobblestone\Catalogue\InstallPhase;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Install\TargetDrive;
use Cobblestone\Job\DriveFate;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\OwnersWord;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\OpensBy;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;
use Cobblestone\Tuning\Acceptance;

/** The wanted system over the present one, everything kept, with a way back for some days (rules J1, A3, I6). */
final class UpgradePath
{
    /** Step after which the way back counts. */
    public const INSTALLED = 'install.upgrade';

    public static function draft(JobContext $context): PathDraft
    {
        [$machine, $system, $brief, $image] = [$context->machine, $context->system(), $context->brief, $context->image()];
        $target = TargetDrive::choose($machine);
        $protection = SafeguardPlanner::plan($context, $target->drive, [], static fn (bool $keep): EncryptionIntent => new EncryptionIntent(true, [Trigger::Loader], 4, $keep), true);
        $requirements = Requirements::assess($machine, $system, $image, $target->drive, $brief->edition, $context->policy->school('bypass'));
        $licence = Licence::assess($machine, $system, $brief->edition, $brief->licence ?? new LicenceBlock('entitlement'));
        $extras = Ownership::extras($brief->extras, $context->policy->school('extras'));
        $present = $machine->fact('present.system')->value;
        $ends = array_values(array_filter([is_string($present) ? self::presentEnds($context, $present) : null, SupportEnds::of($system, $context->today())]));
        $gaps = SupportEnds::gaps($system, $brief->depends);
        [$room, $roomBlockers] = self::room($context, $system);
        $gates = $protection->gates();
        $days = (int) ($system->rollbackDays ?? 10);
        $all = $protection->contribution()->and($requirements->contribution)->and($licence->contribution)->and($extras)->and(new Contribution(decisions: [self::decision($days), $room, SupportEnds::decision($gaps, $ends)], gather: [new GatherItem('charger and network', 'in for the whole upgrade')], initial: [PathFact::STICK_OUT, PathFact::DRIVERS_FETCHED, PathFact::SHUT_DOWN], blockers: $roomBlockers));
        $steps = [
            ...IntakeSteps::first($machine, OwnersWord::step(DriveFate::Stays, $target->drive, $brief->owner, $protection->backup, SupportEnds::missing($gaps))),
            IntakeSteps::gather($all->gather),
            ...$all->steps,
            ...self::steps($context, $gates, [...($protection->backup->somethingToKeep() ? [PathFact::BACKUP_DETACHED] : []), ...array_merge(...array_map(static fn (Step $step): array => $step->after, [...$requirements->contribution->steps, ...$extras->steps]), ...[[]])], $days),
            Acceptance::step($machine, $system, $brief->edition, null, [PathFact::UPDATED, PathFact::ACTIVATED]),
        ];

        return new PathDraft((new Contribution($steps))->and(new Contribution([], $all->decisions, $all->questions, $all->gather, $all->initial, $all->blockers)),
            assessment: [...$protection->toArray(), 'requirements' => $requirements->toArray(), 'support' => $ends, 'depends' => $gaps, 'rollback' => ['step' => self::INSTALLED, 'days' => $days]]);
    }

    private static function decision(int $days): Decision
    {
        return new Decision('install.upgrade', 'In place or '
            .'clean', 'in place', ["Files, programs and settings stay, and for {$days} days it can be taken "
            .'back.'], ['clean install' => ['Programs and settings would have to be set up again. It is the choice '
            .'where the present system is in trouble.']], ["rollback_days = {$days}"], 'A3, I6');
    }

    /** @return array{name: string, ends: string|null, days: int|null, sentence: string}|null */
    private static function presentEnds(JobContext $context, string $id): ?array
    {
        $entry = $context->catalogue->systems()[$id] ?? null;

        return $entry === null ? null : SupportEnds::of($entry, $context->today());
    }

    /** @return array{0: Decision, 1: list<Blocker>} */
    private static function room(JobContext $context, SystemProfile $system): array
    {
        $need = $system->upgradeFreeBytes ?? null;
        $free = $context->machine->fact('drive.free_bytes')->value;
        if ($need === null || ! is_numeric($free)) {
            return [new Decision('assess.room', 'Free space for the '
                .'upgrade', $need === null ? 'as the installer '
                .'asks' : 'at least '.Bytes::of($need)->decimal(), ['The free space on the drive is not known: look '
                .'before starting.'], [], [], 'A2'), []];
        }
        $short = $need - (int) $free;

        return [new Decision('assess.room', 'Free space for the '
            .'upgrade', $short > 0 ? 'too little' : 'enough', [Bytes::of((int) $free)->decimal().' free, '.Bytes::of($need)->decimal().' wanted.'], [], ['drive.free_bytes'], 'A2'),
            $short > 0 ? [Blocker::narrow('upgrade-room', "{$system->name} wants ".Bytes::of($need)->decimal().' free for an upgrade in place: short by '.Bytes::of($short)->decimal().'. Make room first.', 'A2', [Act::WriteSystem], ["drive.free_bytes = {$free}"], OpensBy::Reading)] : []];
    }

    /**
     * @param  list<\Cobblestone\Runbook\Gate>  $gates
     * @param  list<string>  $waits
     * @return list<Step>
     */
    private static function steps(JobContext $context, array $gates, array $waits, int $days): array
    {
        [$system, $image] = [$context->system(), $context->image()];
        $minutes = array_reduce($system->install->phases, static fn (Estimate $sum, InstallPhase $phase): Estimate => $sum->plus($phase->estimate()), Estimate::minutes(10, 20, 45));
        $restarts = count(array_filter($system->install->phases, static fn (InstallPhase $phase): bool => $phase->restart)) + 1;
        $hash = $image->sha256;
        $file = $image->file;

        return [
            new Step('image.check', Stage::Image, 'Check the '
                .'image', Presence::WalkAway, Estimate::around(DataRate::megabytes($context->policy->figure('hash_mb_s'))->timeFor($image->size())),
                ["Run `sha256sum {$file}`.", $hash === null ? 'The publisher gives no checksum: note the one you '
                    .'got.' : "It must print `{$hash}`."],
                after: [PathFact::IMAGE_PROVEN], needs: ['bench computer'], because: [new Reason('A damaged image shows '
                    .'here, not in the middle of the upgrade.', 'M2', $image->dated())]),
            new Step('install.start', Stage::Install, 'Start the upgrade', Presence::Hands, Estimate::minutes(3, 6, 20),
                ['In the running system open the image and start its '
                    .'installer.', 'Choose to keep files, programs and settings. Greyed out: edition or language '
                    .'differ; stop.', 'Third-party guards and drive tools off for the upgrade.'],
                before: [PathFact::IMAGE_PROVEN, PathFact::OWNER_AGREED, PathFact::MACHINE_IDENTIFIED, PathFact::GATHERED, PathFact::ENCRYPTION_SETTLED, ...$waits], after: ['install.started'], needs: ['hands', 'slot', 'power'], acts: [Act::WriteSystem], gates: $gates,
                because: [new Reason('In place keeps everything, with a way back.', 'A3', $system->dated())],
                evidence: [new Evidence('keeps', 'The installer says it '
                    .'keeps', 'choice', ['all' => 'files, programs and settings'])]),
            new Step(self::INSTALLED, Stage::Install, "Upgrade to {$system->name}", Presence::WalkAway, $minutes, ['Leave it alone, charger in.'],
                before: ['install.started'], after: [PathFact::SYSTEM_INSTALLED], needs: ['slot', 'power'], acts: [Act::WriteSystem], because: [new Reason("{$restarts} restarts. From its end on it can be taken back for {$days} days.", 'I5, I6', $system->dated())],
                done: DoneWords::of("It was upgraded to {$system->name}"),
                waiting: new Waiting(['the percentage stands still for long '
                    .'minutes', "{$restarts} restarts"], 'An hour without any change: restart once; it goes back by '
                    .'itself if it cannot go on.', $restarts),
                boots: [BootEvent::change(['system.loader' => 'new']), ...array_fill(0, $restarts, BootEvent::start(Wants::System))]),
            new Step('network.online', Stage::Network, 'Get online', Presence::Hands, Estimate::minutes(0.5, 1, 8), ['See that it is online as before.'], before: [PathFact::SYSTEM_INSTALLED], after: [PathFact::ONLINE], needs: ['hands', 'network'], acts: [Act::WriteSystem], because: [new Reason('Network settings are kept.', 'D5')]),
            new Step('updates.system', Stage::Updates, 'System updates', Presence::WalkAway, $system->updates->estimate(), ['Start the update, let it restart as often as it wants.', 'Do not let any tool remove the old system\'s folder: with it the way back is gone.'],
                before: [PathFact::ONLINE], after: [PathFact::UPDATED], needs: ['network', 'power'], acts: [Act::WriteSystem], done: DoneWords::of('System updates were installed'),
                because: [new Reason('Updates come before the drivers and before proof.', 'J2', $system->dated())],
                waiting: new Waiting(['the same percentage twice'], 'Restart once and look again.', 1)),
        ];
    }
}
