<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Assessment\Licence;
use Cobblestone\Assessment\Requirements;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Brief\Brief;
use Cobblestone\Catalogue\Image;
use Cobblestone\Drivers\DriverPlan;
use Cobblestone\Findings\SocketStage;
use Cobblestone\Firmware\FirmwarePutBack;
use Cobblestone\Firmware\GraphicsShare;
use Cobblestone\Install\AnswerFile;
use Cobblestone\Install\FirstBoot;
use Cobblestone\Install\FirstStart;
use Cobblestone\Install\KeepingWords;
use Cobblestone\Install\OldDrive;
use Cobblestone\Install\TargetDrive;
use Cobblestone\Job\JobContext;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Machine;
use Cobblestone\Media\MediaPlan;
use Cobblestone\Media\MediaPlanner;
use Cobblestone\Media\MediaWish;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\Acceptance;
use Cobblestone\Tuning\Programs;
use Cobblestone\Tuning\ProofSubject;

/** What an installation asks of its parts: safeguards, media, first boot, proof and ports. */
final class InstallParts
{
    public static function safeguards(
        JobContext $context,
        ?Drive $protected,
        TargetDrive $target,
        bool $swap,
        Policy $policy,
        bool $new,
    ): Safeguards {
        return SafeguardPlanner::plan(
            $context,
            $protected,
            $target->others,
            static fn (bool $keep): EncryptionIntent => self::aroundEncryption(
                $target,
                $swap,
                $policy,
                $keep && ! $new,
            ),
            ! $swap,
        );
    }

    /** The drive that is written to, with what stays on it. */
    public static function target(JobContext $context): TargetDrive
    {
        [$machine, $systems] = [$context->machine, $context->catalogue->systems()];

        return KeepingWords::on(TargetDrive::choose($machine), $machine, $context->system(), $systems);
    }

    /** A system that stays beside the new one is still asked for its key: its start changes under it. */
    private static function aroundEncryption(
        TargetDrive $target,
        bool $swap,
        Policy $policy,
        bool $keep,
    ): EncryptionIntent {
        $stays = $target->keeping?->other !== null;
        $triggers = $swap ? [Trigger::DriveMoved] : [
            Trigger::SecureBootState,
            ...($stays ? [Trigger::Loader, Trigger::BootOrder] : []),
            ...(! $stays && $policy->school('boot') === 'permanent-order' ? [Trigger::BootOrder] : []),
        ];

        return new EncryptionIntent($stays, $triggers, 0, $keep);
    }

    public static function media(JobContext $context, DriverPlan $drivers): MediaPlan
    {
        return MediaPlanner::plan(new MediaWish(
            $context->machine,
            $context->image(),
            $context->catalogue->sticks($context->brief->sticks),
            $context->policy,
            $drivers->offlineSize(),
            count($drivers->offline),
            $context->host(),
            $context->system?->name,
        ));
    }

    /** First start, network, drivers, licence: all that comes once the files are copied. */
    public static function afterCopying(
        JobContext $context,
        DriverPlan $drivers,
        Contribution $firmware,
        AnswerFile $file,
    ): Contribution {
        [$machine, $brief] = [$context->machine, $context->brief];

        return self::firstBoot($context, $drivers, $firmware, $file)
            ->and($file->contribution)
            ->and($drivers->contribution)
            ->and(Licence::assess($machine, $context->system(), $brief->edition, $brief->licence)->contribution)
            ->and(Programs::plan($machine, $context->system(), $context->catalogue->appSets()))
            ->and(self::imageQuestions($context));
    }

    private static function firstBoot(
        JobContext $context,
        DriverPlan $drivers,
        Contribution $firmware,
        AnswerFile $file,
    ): Contribution {
        $isWired = static fn (Device $device): bool => $device->wired;

        return FirstBoot::plan(
            new FirstStart(
                $context->system(),
                $context->policy,
                $context->brief->firstBoot,
                $drivers->online,
                $file->profile->answers ?? [],
            ),
            [...$drivers->offlineFacts(), ...FirmwarePutBack::beforeOnline($firmware->steps)],
            array_filter($context->machine->devices, $isWired) !== [],
        );
    }

    public static function protecting(bool $new, Safeguards $protection, bool $swap, OldDrive $old): Contribution
    {
        return match (true) {
            $new => $protection->health->contribution->and($protection->memoryContribution())
                ->and(new Contribution(initial: [PathFact::BACKUP_SETTLED])),
            $swap
                && ! $protection->health->rescueFirst() => $protection->withoutBackup()
                    ->and(new Contribution(
                        questions: [...$protection->backup->contribution->questions, ...$old->questions],
                        initial: [PathFact::SHUT_DOWN],
                        blockers: $old->blockers,
                    )),
            $swap => $protection->contribution()
                ->and(new Contribution(
                    questions: $old->questions,
                    blockers: $old->blockers,
                )),
            default => $protection->contribution(),
        };
    }

    public static function proof(
        JobContext $context,
        TargetDrive $target,
        Contribution $firmware,
        DriverPlan $drivers,
    ): Step {
        return Acceptance::step(new ProofSubject(
            $context->machine,
            $context->system(),
            $context->brief->edition,
            $target->drive,
            GraphicsShare::after($context->machine, $firmware->steps),
            count($drivers->unresolved),
            $target->keeping?->other,
        ));
    }

    /** @return list<SocketStage> */
    public static function ports(
        Machine $machine,
        MediaPlan $media,
        Brief $brief,
        Safeguards $protection,
        bool $new,
        bool $swap,
    ): array {
        return PortUse::of(
            $machine,
            $media->stick?->connector,
            ! $brief->backup->isEmpty()
                && $protection->backup->somethingToKeep()
                && ! $new
                && (! $swap || $protection->health->rescueFirst()),
        );
    }

    /**
     * Records that have to exist before the drive is erased.
     *
     * @return list<string>
     */
    public static function recorded(Requirements $requirements, Contribution $extras, AnswerFile $file): array
    {
        return array_merge(
            ...array_map(
                static fn ($step): array => $step->after,
                [...$requirements->contribution->steps, ...$extras->steps],
            ),
            ...[$file->waits()],
        );
    }

    /** What comes out comes out while the machine is off, before it is started to see the new part (rules H3, I1). */
    public static function detachedFirst(Contribution $hardware, Contribution $install): Contribution
    {
        $detaches = array_filter(
            $install->steps,
            static fn (Step $step): bool => in_array(PathFact::DRIVES_DETACHED, $step->after, true),
        ) !== [];
        if (! $detaches) {
            return $hardware;
        }

        return $hardware->withSteps(array_map(
            static fn (Step $step): Step => in_array(PathFact::PART_SEEN, $step->after, true)
                ? $step->waitingFor(PathFact::DRIVES_DETACHED)
                : $step,
            $hardware->steps,
        ));
    }

    private static function imageQuestions(JobContext $context): Contribution
    {
        $brief = $context->brief;
        if (
            ! $brief->image instanceof Image
                || ! $brief->image->kindAssumed
                || isset($brief->machine->facts['image.kind'])
        ) {
            return new Contribution;
        }

        $decides = 'how the stick is written; until then "to write as it is" is assumed';

        return new Contribution(questions: [FactQuestion::about('image.kind', $decides, 'M3', 50)]);
    }
}
