<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\ImagePartition;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Firmware\FirmwarePlanner;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;
use Cobblestone\Media\Ways\StickRates;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\InvalidQuantity;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\OpensBy;
use Cobblestone\Runbook\Question;
use Cobblestone\Storage\LayoutImpossible;
use Cobblestone\Storage\Scheme;

/** Works out the stick: how it is written, which one, what stands where, how long it takes (rules M1, M3–M9, M15). */
final class MediaPlanner
{
    /**
     * @param  list<Stick>  $sticks
     * @param  Bytes  $drivers  what has to be on the stick to get online, in bytes
     * @param  int  $driverFiles  packages among it
     */
    public static function plan(Machine $machine, Image $image, array $sticks, Policy $policy, Bytes $drivers, int $driverFiles): MediaPlan
    {
        $mode = WriteMode::for($image);
        $decisions = [WriteMode::decide($image, $driverFiles > 0)];
        $connectors = array_values(array_unique(array_map(static fn (Port $port): string => $port->connector, $machine->ports)));
        $contribution = $mode === WriteMode::Raw
            ? self::raw($image, $sticks, $policy, $connectors, $decisions, $machine, $drivers, $driverFiles)
            : self::copied($image, $sticks, $policy, $connectors, $decisions, $machine, $drivers, $driverFiles);

        return $contribution;
    }

    /**
     * @param  list<Stick>  $sticks
     * @param  list<string>  $connectors
     * @param  list<Decision>  $decisions
     */
    private static function raw(Image $image, array $sticks, Policy $policy, array $connectors, array $decisions, Machine $machine, Bytes $drivers, int $driverFiles): MediaPlan
    {
        $expanded = $image->expanded() ?? self::typedSize($machine);
        $questions = $expanded !== null ? [] : [self::expandedSize($image)];
        $bytes = $expanded ?? $image->size();
        $choice = $expanded === null ? StickChoice::unmeasured('media.stick', 'Which stick', $image) : StickChoice::decide('media.stick', 'Which stick', $sticks, $bytes, $policy->school('stick'), $connectors);
        $rates = StickRates::of($choice->stick, $policy);
        $write = WriteTime::of($bytes, $rates->writing($image->kind === 'raw-compressed'), Duration::seconds(0));
        $verify = WriteTime::of($bytes, $rates->reading(), Duration::seconds(0));
        $place = $driverFiles === 0 ? DriverPlace::none() : DriverPlace::secondStick($sticks, $choice->stick, $drivers, $driverFiles, 'The first one is written raw and carries nothing beside the image.', $policy->school('stick'), $connectors);
        $decisions = [...$decisions, $choice->decision, ...array_filter([$place->decision])];
        $steps = MediaSteps::for($machine, $image, $choice, WriteMode::Raw, $expanded === null ? null : $bytes, $write, $verify, null, null, $policy, HostSpace::raw($image->size()), $place);

        return new MediaPlan(WriteMode::Raw, $choice->stick, $choice->stick === null ? null : self::rawLayout($image, $choice->stick, $bytes), null,
            new Contribution($steps, $decisions, $questions, self::gather($choice, $machine, $place), blockers: self::blockers($choice, $sticks, $image)));
    }

    /**
     * @param  list<Stick>  $sticks
     * @param  list<string>  $connectors
     * @param  list<Decision>  $decisions
     */
    private static function copied(Image $image, array $sticks, Policy $policy, array $connectors, array $decisions, Machine $machine, Bytes $drivers, int $driverFiles): MediaPlan
    {
        [$scheme, $schemeDecision] = SchemeChoice::decide($machine, $image, $policy->school('scheme'));
        $fileSystem = FileSystemChoice::decide($image, Bytes::mebi((int) $policy->figure('part_mebibytes')));
        $decisions = [...$decisions, $schemeDecision, $fileSystem->decision];
        $files = $image->counted();
        $choose = static fn (Bytes $drivers, int $driverFiles): StickChoice => StickChoice::decide('media.stick', 'Which stick', $sticks, StickNeed::of($files, $drivers, $driverFiles)->wholeStick($policy->figure('stick_spare')), $policy->school('stick'), $connectors);
        $choice = $choose($drivers, $driverFiles);
        $place = $driverFiles === 0 ? DriverPlace::none() : DriverPlace::sameStick($driverFiles);
        if ($choice->stick === null && $driverFiles > 0 && ($without = $choose(Bytes::of(0), 0))->stick !== null) {
            $place = DriverPlace::secondStick($sticks, $without->stick, $drivers, $driverFiles, 'With the installer '
                .'no stick has room for them.', $policy->school('stick'), $connectors);
            [$choice, $drivers, $driverFiles] = [$without, Bytes::of(0), 0];
        }
        $bytes = Bytes::of($files->bytes)->plus($drivers);
        $decisions = [...$decisions, $choice->decision, ...array_filter([$place->decision])];
        $label = FatLabel::of($image->label ?? $image->name);
        [$layout, $blockers] = self::copiedLayout($choice->stick, $scheme, $label, $image, $drivers, $driverFiles);
        $rates = StickRates::of($choice->stick, $policy);
        $perFile = Duration::seconds((int) ceil($rates->perFile($files->count + $driverFiles)));
        $write = WriteTime::of($bytes, $rates->writing(false), $perFile);
        $verify = WriteTime::of($bytes, $rates->reading(), $perFile);
        $steps = MediaSteps::for($machine, $image, $choice, WriteMode::FilesCopied, $bytes, $write, $verify, $label, $fileSystem->split, $policy, HostSpace::copied($image->size(), Bytes::of($files->bytes), Bytes::of($image->largest()->bytes)), $place);

        return new MediaPlan(WriteMode::FilesCopied, $choice->stick, $layout, $label, new Contribution($steps, $decisions,
            gather: self::gather($choice, $machine, $place),
            blockers: [...($fileSystem->blocker === null ? [] : [Blocker::narrow('image-not-copied', $fileSystem->blocker, 'M5', [Act::WriteStick])]), ...$blockers, ...self::blockers($choice, $sticks, $image)]));
    }

    /** The expanded size as somebody answered it. */
    private static function expandedSize(Image $image): Question
    {
        $decides = 'which stick can take it; a compressed size says nothing of that';
        $asked = FactQuestion::about('image.expanded_bytes', $decides, 'M2', 85, [Act::WriteStick]);

        return $asked->worded(FactQuestion::text('image.expanded_bytes', ['image' => $image->name]));
    }

    private static function typedSize(Machine $machine): ?Bytes
    {
        $typed = $machine->fact('image.expanded_bytes')->value;
        try {
            return is_int($typed) || is_string($typed) ? Bytes::parse($typed) : null;
        } catch (InvalidQuantity) {
            return null;
        }
    }

    /** @return array{0: array<string, mixed>|null, 1: list<Blocker>} */
    private static function copiedLayout(?Stick $stick, Scheme $scheme, string $label, Image $image, Bytes $drivers, int $driverFiles): array
    {
        if ($stick === null) {
            return [null, []];
        }
        try {
            $layout = StickLayout::copied($stick, $scheme, $label);
            $cluster = $layout->partitions[0]->fat32?->clusterSize() ?? Bytes::of(0);
            $need = StickNeed::of($image->counted(), $drivers, $driverFiles)->onVolume($cluster);
            StickLayout::mustFit($layout, $need);
        } catch (LayoutImpossible $e) {
            return [null, [Blocker::narrow('stick-layout', $e->getMessage(), 'M6', [Act::WriteStick])]];
        }

        return [[...$layout->toArray(), 'label' => $label, 'need_bytes' => $need->count, 'capacity_bytes' => $layout->partitions[0]->fat32?->capacity()->count], []];
    }

    /** @return array<string, mixed> */
    private static function rawLayout(Image $image, Stick $stick, Bytes $bytes): array
    {
        $sector = $stick->sectorBytes;

        return [
            'scheme' => $image->table ?? 'as in the image', 'sector_bytes' => $sector, 'device_bytes' => $stick->size()->count,
            'device_sectors' => intdiv($stick->size()->count, $sector), 'out_of_reach_bytes' => 0, 'written_bytes' => $bytes->count,
            'partitions' => array_map(static fn (ImagePartition $partition, int $index): array => [
                'number' => $index + 1, 'name' => $partition->name, 'role' => $partition->role, 'type' => $partition->type, 'type_code' => null, 'active' => false,
                'file_system' => $partition->fileSystem ?? 'none', 'first_sector' => $partition->firstSector, 'sectors' => $partition->sectors,
                'bytes' => $partition->sectors * $sector, 'fat32' => null,
            ], $image->partitions, array_keys($image->partitions)),
        ];
    }

    /** @return list<GatherItem> */
    private static function gather(StickChoice $choice, Machine $machine, DriverPlace $place): array
    {
        $items = [new GatherItem("stick: {$choice->decision->chosen}", 'carries the '
            .'installer'), new GatherItem('spare stick of the same size or larger', 'if the first one fails')];
        if ($place->second !== null) {
            $items[] = new GatherItem("second stick: {$place->second}", 'carries the drivers');
        }
        $port = $choice->stick === null ? null : FirmwarePlanner::portFor($machine, $choice->stick->connector);
        if ($choice->stick !== null && $port !== null && $port->connector !== $choice->stick->connector) {
            $items[] = new GatherItem("adapter from {$choice->stick->connector} to {$port->connector}", 'the stick '
                ."goes into {$port->connector}, {$port->where}");
        }

        return $items;
    }

    /**
     * @param  list<Stick>  $sticks
     * @return list<Blocker>
     */
    private static function blockers(StickChoice $choice, array $sticks, Image $image): array
    {
        $unfit = match (true) {
            $image->kind === 'device-restore' => [Blocker::stop('image-kind', "{$image->name} is a restore bundle "
                .'for a cable and starts from no stick. Choose an image of the system, or the kind of job that '
                .'restores over a cable.', 'M3', ["kind: {$image->kind}"])],
            ! $image->isHybrid() && ! $image->isCounted() => [Blocker::narrow('image-not-counted', "The files of {$image->name} are not counted yet: bring it to the shelf, where it is inspected, or give their number and sizes.", 'M2', [Act::WriteStick], opens: OpensBy::Reading)],
            default => [],
        };

        return [...$unfit, ...($choice->stick === null && $sticks !== [] ? [Blocker::narrow('no-stick', 'No stick '
            ."in the register can carry this image: get {$choice->decision->chosen}, or free one.", 'M7', [Act::WriteStick])] : [])];
    }
}
