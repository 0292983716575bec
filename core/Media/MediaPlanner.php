<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\ImageFiles;
use Cobblestone\Media\Ways\StickRates;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Duration;
use Cobblestone\Runbook\Contribution;

/** Works out the stick: how it is written, which one, what stands where, how long it takes (rules M1, M3–M9, M15). */
final class MediaPlanner
{
    public static function plan(MediaWish $wish): MediaPlan
    {
        return WriteMode::for($wish->image) === WriteMode::Raw ? self::raw($wish) : self::copied($wish);
    }

    private static function raw(MediaWish $wish): MediaPlan
    {
        [$image, $hand, $policy] = [$wish->image, $wish->hand(), $wish->policy];
        $expanded = $image->expanded() ?? MediaSizes::typedSize($wish->machine);
        $bytes = $expanded ?? $image->size();
        $choice = $expanded === null
            ? StickChoice::unmeasured('media.stick', 'Which stick', $image)
            : StickChoice::decide('media.stick', 'Which stick', $hand, $bytes);
        $place = $wish->driverFiles === 0
            ? DriverPlace::none()
            : DriverPlace::secondStick(
                $hand,
                $choice->stick,
                $wish->drivers,
                $wish->driverFiles,
                'The first one is written raw and carries nothing beside the image.',
            );
        $rates = StickRates::of($choice->stick, $policy);
        $write = WriteTime::of($bytes, $rates->writing($image->kind === 'raw-compressed'), Duration::seconds(0));
        $verify = WriteTime::of($bytes, $rates->reading(), Duration::seconds(0));
        $writing = new Writing(WriteMode::Raw, $expanded === null ? null : $bytes, $write, $verify, null, null);
        $layout = $choice->stick === null ? null : MediaSizes::rawLayout($image, $choice->stick, $bytes);
        $decisions = [WriteMode::decide($image, $wish->driverFiles > 0), $choice->decision];
        $contribution = new Contribution(
            MediaSteps::for($image, $choice, $writing, HostSpace::raw($image->size()), $place, $wish),
            [...$decisions, ...array_filter([$place->decision])],
            $expanded !== null ? [] : [MediaSizes::expandedSize($image)],
            MediaBlockers::gather($choice, $wish->machine, $place),
            blockers: [
                ...MediaBlockers::blockers($choice, $wish->sticks, $image),
                ...MediaBlockers::host($wish, WriteMode::Raw),
            ],
        );

        return new MediaPlan(
            WriteMode::Raw, $choice->stick, $layout, null, $contribution, files: $place->wanted(),
        );
    }

    private static function copied(MediaWish $wish): MediaPlan
    {
        [$image, $policy] = [$wish->image, $wish->policy];
        [$scheme, $schemeDecision] = SchemeChoice::decide($wish->machine, $image, $policy->school('scheme'));
        $fileSystem = FileSystemChoice::decide($image, Bytes::mebi((int) $policy->figure('part_mebibytes')));
        $files = $image->counted();
        [$choice, $place, $carried] = self::choose($wish, $files);
        $label = FatLabel::of($image->label ?? $image->name);
        [$layout, $blockers] = MediaSizes::copiedLayout(
            $choice->stick, $scheme, $label, $image, $carried->drivers, $carried->driverFiles,
        );
        $bytes = Bytes::of($files->bytes)->plus($carried->drivers);
        $rates = StickRates::of($choice->stick, $policy);
        $perFile = Duration::seconds((int) ceil($rates->perFile($files->count + $carried->driverFiles)));
        $write = WriteTime::of($bytes, $rates->writing(false), $perFile);
        $verify = WriteTime::of($bytes, $rates->reading(), $perFile);
        $writing = new Writing(WriteMode::FilesCopied, $bytes, $write, $verify, $label, $fileSystem->split);
        $space = HostSpace::copied($image->size(), Bytes::of($files->bytes), Bytes::of($image->largest()->bytes));
        $contribution = new Contribution(
            MediaSteps::for($image, $choice, $writing, $space, $place, $wish),
            [
                WriteMode::decide($image, $wish->driverFiles > 0),
                $schemeDecision,
                $fileSystem->decision,
                $choice->decision,
                ...array_filter([$place->decision]),
            ],
            gather: MediaBlockers::gather($choice, $wish->machine, $place),
            blockers: MediaBlockers::copying($wish, $fileSystem, $blockers, $choice),
        );

        return new MediaPlan(
            WriteMode::FilesCopied, $choice->stick, $layout, $label, $contribution, $scheme, $carried->driverFiles,
            $place->wanted(), $image->besideStorage,
        );
    }

    /**
     * One stick for installer and drivers where one is large enough; else the drivers travel on a second.
     *
     * @return array{0: StickChoice, 1: DriverPlace, 2: MediaWish} the last: what the installer's stick carries
     */
    private static function choose(MediaWish $wish, ImageFiles $files): array
    {
        $hand = $wish->hand();
        $spare = $wish->policy->figure('stick_spare');
        $choose = static fn (MediaWish $of): StickChoice => StickChoice::decide(
            'media.stick',
            'Which stick',
            $hand,
            $of->image->besideStorage
                ? StickNeed::of($files, $of->drivers, $of->driverFiles)->besideStorage()
                : StickNeed::of($files, $of->drivers, $of->driverFiles)->wholeStick($spare),
        );
        $choice = $choose($wish);
        if ($wish->driverFiles === 0) {
            return [$choice, DriverPlace::none(), $wish];
        }
        $alone = $wish->withoutDrivers();
        $without = $choice->stick === null ? $choose($alone) : $choice;
        if ($choice->stick !== null || $without->stick === null) {
            return [$choice, DriverPlace::sameStick($wish->driverFiles), $wish];
        }
        $why = 'With the installer no stick has room for them.';

        return [
            $without,
            DriverPlace::secondStick($hand, $without->stick, $wish->drivers, $wish->driverFiles, $why),
            $alone,
        ];
    }
}
