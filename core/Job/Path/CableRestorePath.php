<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Ownership;
use Cobblestone\Assessment\SupportEnds;
use Cobblestone\Catalogue\Image;
use Cobblestone\Install\FirstBoot;
use Cobblestone\Job\DriveFate;
use Cobblestone\Job\IntakeSteps;
use Cobblestone\Job\JobContext;
use Cobblestone\Job\OwnersWord;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\CableRecovery;
use Cobblestone\Machine\Model\Move;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\OpensBy;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\SheetPart;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;
use Cobblestone\Tuning\Acceptance;

/**
 * A sealed machine over a cable from a helper: revive before restore, and restore only once nothing is kept (rules
 * J1, F7).
 */
final class CableRestorePath
{
    /** Rate over the recovery cable, while nobody has measured it (default, MB/s). */
    private const CABLE_MB_S = 30.0;

    public static function draft(JobContext $context): PathDraft
    {
        [$machine, $system, $brief, $image] = [$context->machine, $context->system(), $context->brief, $context->image()];
        $recovery = $machine->model?->recovery;
        $protection = SafeguardPlanner::plan($context, null, [], static fn (bool $keep): EncryptionIntent => new EncryptionIntent(false, [], 0, $keep), false);
        $tried = explode(', ', (string) $machine->fact('tried')->spoken());
        $restores = $protection->backup->keep === 'nothing' || in_array('revive', $tried, true);
        [$owner, $ownerWaits] = Ownership::assess($machine, true, $brief->owner);
        $gates = $protection->gates();
        $first = $restores ? FirstBoot::plan($system, [], false, online: 'The restore image is made for exactly '
            .'this model.') : new Contribution(initial: [PathFact::UPDATED, PathFact::ONLINE]);
        $blockers = $image->kind === 'device-restore' ? self::forThisModel($machine, $image) : [Blocker::stop('image-kind', "{$image->name} is no restore image of a sealed machine: choose the one for exactly this model.", 'F7', ["kind: {$image->kind}"])];
        $all = ($restores ? $protection->backup->contribution : new Contribution(questions: $protection->backup->contribution->questions, initial: [PathFact::SHUT_DOWN]))->and($owner)->and($first)->and(new Contribution(decisions: [self::decision($restores, $protection->backup->keep === 'nothing')], gather: self::gather($recovery), initial: [PathFact::STICK_OUT, PathFact::DRIVERS_COMPLETE, PathFact::ACTIVATED, PathFact::POWER_SAFE], blockers: $blockers));
        $steps = [
            ...IntakeSteps::first($machine, OwnersWord::step($restores ? DriveFate::Erased : DriveFate::Stays, null, $brief->owner, $restores ? $protection->backup : null)),
            IntakeSteps::gather($all->gather),
            ...$all->steps,
            self::helper($recovery, $image->file, $image->sha256),
            self::start($recovery),
            ...($restores ? self::restore($context, $gates, [...$protection->erasingWaitsFor(), ...$ownerWaits]) : [self::revive($context, $ownerWaits)]),
            Acceptance::step($machine, $system, $brief->edition, null, $restores ? [PathFact::UPDATED, PathFact::SYSTEM_INSTALLED] : [PathFact::REPAIR_DONE]),
        ];

        return new PathDraft((new Contribution($steps))->and(new Contribution([], $all->decisions, $all->questions, $all->gather, $all->initial, $all->blockers)),
            assessment: [...$protection->toArray(), 'support' => [SupportEnds::of($system, $context->today())]]);
    }

    /** @return list<Blocker> a restore image is made for one model and for no sibling */
    private static function forThisModel(Machine $machine, Image $image): array
    {
        $made = $image->models;
        $model = $machine->model?->id;

        return match (true) {
            $made === [] && $image->asOf !== null => [Blocker::narrow('image-model', 'The shelf does not say which '
                ."model {$image->name} is made for: look it up on the maker's page, and enter it.", 'F7', [Act::Erase, Act::Repair, Act::WriteSystem], opens: OpensBy::Answer)],
            $made !== [] && $model !== null && ! in_array($model, $made, true) => [Blocker::stop('image-model', "{$image->name} is made for ".implode(', ', $made).", this is {$machine->title}. Choose the image for exactly this model.", 'F7', ['image models: '.implode(', ', $made), "model = {$model}"])],
            default => [],
        };
    }

    private static function decision(bool $restores, bool $nothing): Decision
    {
        return $restores
            ? new Decision('install.cable', 'Over the cable', 'restore, which '
                .'erases', [$nothing ? 'Nothing has to be '
                .'kept.' : 'Reviving was tried and did not '
                .'help.'], ['revive' => [$nothing ? 'A clean state is wanted.' : 'Tried already.']], [], 'F7')
            : new Decision('install.cable', 'Over the cable', 'revive first, which keeps the '
                .'data', ['It writes the system anew and leaves the owner\'s data where it is.', 'Marked as tried '
                .'without success, the path becomes a restore.'], ['restore' => ['It erases everything.']], [], 'F7');
    }

    /** @return list<GatherItem> */
    private static function gather(?CableRecovery $recovery): array
    {
        return [new GatherItem('helper machine', 'system at least '.($recovery->helperMinimum ?? 'as the maker '
            .'asks').', network, 30 GB free'), new GatherItem($recovery->cable ?? 'cable of the right '
            .'kind', 'a charging-only cable carries no data'), new GatherItem('charger', 'the machine must not run '
            .'empty')];
    }

    private static function helper(?CableRecovery $recovery, string $file, ?string $hash): Step
    {
        return new Step('media.helper', Stage::Media, 'Ready the helper', Presence::Hands, Estimate::minutes(3, 8, 40),
            ['Update the helper machine: at least '.($recovery->helperMinimum ?? 'the version the maker asks for').'.', "Fetch `{$file}`, the image for exactly this model.", $hash === null ? 'The publisher gives no checksum: note the one you got.' : "`sha256sum` must print `{$hash}`.", 'Keep the helper from sleeping.'],
            before: [PathFact::GATHERED], after: [PathFact::HELPER_READY], needs: ['hands', 'bench computer', 'network'],
            because: [new Reason('An older helper refuses the newer image half-way.', 'F7')],
        );
    }

    private static function start(?CableRecovery $recovery): Step
    {
        $port = $recovery?->port !== null ? 'Cable into the '
            ."socket {$recovery->port}, seen from {$recovery->seenFrom}." : 'Cable into the socket the maker names '
            .'for recovery; others charge only.';
        $sequence = array_map(static fn (Move $move): string => $move->do.($move->seconds === null ? '' : ", {$move->seconds} s").'.', $recovery->sequence ?? []);

        return new Step('boot.recovery', Stage::Boot, 'Into recovery', Presence::Hands, Estimate::minutes(1, 3, 15),
            [$port, 'Fully off first.', ...($sequence === [] ? ['Hold the combination of this model until the '
                .'helper shows it.'] : $sequence), 'The helper must show the machine. At most three tries; then '
                .'cable and socket are checked again.'],
            before: [PathFact::SHUT_DOWN, PathFact::HELPER_READY, PathFact::MACHINE_IDENTIFIED], after: [PathFact::RECOVERY_STARTED], needs: ['hands', 'slot'], acts: [Act::StartMedium],
            because: [new Reason('Socket, cable and combination belong to this exact '
                .'model.', 'F7', $recovery === null ? 'usual for sealed machines' : 'catalogue')],
            waiting: new Waiting(['the machine stays dark: only the helper shows it'], 'Other cable, the other '
                .'socket, once more from fully off.'),
            boots: [BootEvent::change(['recovery.held' => 'yes']), BootEvent::start(Wants::Recovery, BootEvent::BY_KEY)],
            opensWith: Wants::Recovery,
        );
    }

    /** @param  list<string>  $waits */
    private static function revive(JobContext $context, array $waits): Step
    {
        return new Step('install.revive', Stage::Install, 'Revive', Presence::StayNear, self::time($context),
            ['Choose revive on the helper, not restore.', 'Leave cable and both machines alone.'],
            before: [PathFact::RECOVERY_STARTED, PathFact::OWNER_AGREED, ...$waits], after: [PathFact::REPAIR_DONE], needs: ['slot', 'power'],
            done: DoneWords::in(SheetPart::Repair, 'The system was revived over a cable; your data '
                .'stayed.'), acts: [Act::Repair],
            because: [new Reason('It keeps the data and is tried before anything that erases.', 'F7, A3')],
            evidence: [new Evidence('revived', 'It', 'choice', ['starts' => 'starts again'])],
            waiting: new Waiting(['the bar stands still near the end', 'it restarts '
                .'twice'], 'Failed or not starting: note a problem, then mark reviving as tried; the path becomes a '
                .'restore.', 2),
            boots: [BootEvent::change(['recovery.held' => 'no', 'target' => 'repaired']), BootEvent::start(Wants::System)],
        );
    }

    /**
     * @param  list<\Cobblestone\Runbook\Gate>  $gates
     * @param  list<string>  $waits
     * @return list<Step>
     */
    private static function restore(JobContext $context, array $gates, array $waits): array
    {
        return [
            new Step('target.restore', Stage::Target, 'Start the '
                .'restore', Presence::Hands, Estimate::minutes(0.5, 2, 6), ['Choose restore on the helper; compare '
                .'the serial it shows with the one on the case.'],
                before: [PathFact::RECOVERY_STARTED, PathFact::OWNER_AGREED, ...$waits], after: [PathFact::TARGET_ERASED], needs: ['hands'], acts: [Act::Erase], gates: $gates,
                because: [new Reason('From here on everything on the machine is '
                    .'gone.', 'F7')], cautions: ['Everything on the machine is lost.'],
                done: DoneWords::in(SheetPart::Drive, 'Everything on it was erased.'),
                confirmation: new Confirmation($context->machine->title, 0, null, 'everything on it', $context->brief->owner, typed: false)),
            new Step('install.restore', Stage::Install, 'Restore', Presence::StayNear, self::time($context), ['Leave cable and both machines alone.'],
                before: [PathFact::TARGET_ERASED], after: [PathFact::SYSTEM_INSTALLED], needs: ['slot', 'power'],
                done: DoneWords::of('The system was restored over a '
                    .'cable'), acts: [Act::WriteSystem], because: [new Reason('The helper writes firmware and '
                    .'system.', 'F7, J3')],
                waiting: new Waiting(['the bar stands still near the end', 'it restarts '
                    .'twice'], 'At most three tries; then cable and socket are checked again.', 2),
                boots: [BootEvent::change(['recovery.held' => 'no', 'target' => 'installed']), BootEvent::start(Wants::System)]),
        ];
    }

    private static function time(JobContext $context): Estimate
    {
        $image = $context->image()->size();

        return Estimate::around(DataRate::megabytes(self::CABLE_MB_S)->timeFor($image)->plus(Duration::minutes(8)));
    }
}
